/**
 * An independent judge of what moves take out of a block: solids are swept and taken away with a general-purpose geometry library.
 * Reads a JSON list of {min, max, moves: [{radius, flat, corner, rise, path: [[x, y, z], …]}, …]}, a cutter's profile being level out to
 * `flat`, then rounded by `corner` or rising by `rise`, and answers with the volume taken from each block; where a line {from, to} in plan
 * is given too, with the area of what is left of it cut along that line.
 */
import { readFileSync } from 'node:fs'
import Module from 'manifold-3d'

const ROUND = 64
const wasm = await Module()
wasm.setup()
const { Manifold } = wasm

/** Rings of the cutter's edge, from its tip up: radius and height. */
const edge = ({ radius, flat, corner, rise }, top) => {
  const rings = [[flat, 0]]
  for (let i = 1; corner > 0 && i <= 12; i++) {
    const turn = (i / 12) * (Math.PI / 2)
    rings.push([flat + corner * Math.sin(turn), corner * (1 - Math.cos(turn))])
  }
  if (corner <= 0 && rise > 0) rings.push([radius, (radius - flat) * rise])
  return [...rings, [radius, top]]
}

/** A cutter is convex, so what it sweeps along a straight way is the hull of where it begins and where it ends. */
const swept = (move, from, to, top) => {
  const points = []
  for (const [x, y, z] of [from, to]) {
    for (const [radius, height] of edge(move, top - Math.min(from[2], to[2]))) {
      for (let i = 0; i < (radius > 0 ? ROUND : 1); i++) {
        const turn = (i * 2 * Math.PI) / ROUND
        points.push([x + radius * Math.cos(turn), y + radius * Math.sin(turn), z + height])
      }
    }
  }
  return Manifold.hull(points)
}

/** The line laid along X, and the block turned up about it, so that the cut is the level at nothing. */
const areaAlong = (block, { from, to }) => {
  const along = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI
  return block.translate([-from[0], -from[1], 0]).rotate([0, 0, -along]).rotate([90, 0, 0]).slice(0).area()
}

const answers = JSON.parse(readFileSync(0, 'utf8')).map(({ min, max, moves, line }) => {
  let block = Manifold.cube(max.map((value, n) => value - min[n])).translate(min)
  const before = block.volume()
  for (const move of moves) {
    for (let i = 1; i < move.path.length; i++) block = block.subtract(swept(move, move.path[i - 1], move.path[i], max[2] + 20))
  }
  return line === undefined ? before - block.volume() : areaAlong(block, line)
})
process.stdout.write(JSON.stringify(answers))
