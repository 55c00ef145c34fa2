/**
 * An independent judge of cutter compensation: offsets polygons with a general-purpose clipping library and measures how far
 * a path lies from the result, both ways. Reads a JSON list of
 * {contour: [[x, y], …] counter-clockwise, outwards: mm, corner: 'arc' | 'extended', path: [{a, b, centre?, sweep?}, …]}
 * and answers with the greatest distance of each, in mm; -1 where the offset falls into pieces.
 */
import { readFileSync } from 'node:fs'
import clipper from 'clipper-lib'

const SCALE = 1e7
const STEP = 2

const toLine = ([x, y], [ax, ay], [bx, by]) => {
  const dx = bx - ax
  const dy = by - ay
  const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)))
  return Math.hypot(x - ax - t * dx, y - ay - t * dy)
}

const toArc = (p, { a, b, centre, sweep }) => {
  const turn = Math.atan2(p[1] - centre[1], p[0] - centre[0]) - Math.atan2(a[1] - centre[1], a[0] - centre[0])
  const along = (((sweep > 0 ? turn : -turn) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)
  return along <= Math.abs(sweep)
    ? Math.abs(Math.hypot(p[0] - centre[0], p[1] - centre[1]) - Math.hypot(a[0] - centre[0], a[1] - centre[1]))
    : Math.min(Math.hypot(p[0] - a[0], p[1] - a[1]), Math.hypot(p[0] - b[0], p[1] - b[1]))
}

const toElement = (p, element) => (element.centre ? toArc(p, element) : toLine(p, element.a, element.b))

function* pointsOf({ a, b, centre, sweep }) {
  const radius = centre ? Math.hypot(a[0] - centre[0], a[1] - centre[1]) : 0
  const length = centre ? radius * Math.abs(sweep) : Math.hypot(b[0] - a[0], b[1] - a[1])
  const count = Math.max(1, Math.ceil(length / STEP))
  const start = centre ? Math.atan2(a[1] - centre[1], a[0] - centre[0]) : 0
  for (let i = 0; i <= count; i++) {
    const t = i / count
    yield centre
      ? [centre[0] + radius * Math.cos(start + sweep * t), centre[1] + radius * Math.sin(start + sweep * t)]
      : [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])]
  }
}

const offset = ({ contour, outwards, corner }) => {
  const tool = new clipper.ClipperOffset(1000, 5e-5 * SCALE)
  const points = contour.map(([x, y]) => ({ X: Math.round(x * SCALE), Y: Math.round(y * SCALE) }))
  tool.AddPath(points, corner === 'arc' ? clipper.JoinType.jtRound : clipper.JoinType.jtMiter, clipper.EndType.etClosedPolygon)
  const result = []
  tool.Execute(result, outwards * SCALE)
  return result.map(path => path.map(({ X, Y }) => [X / SCALE, Y / SCALE]))
}

const judge = task => {
  const [polygon, ...more] = offset(task)
  if (!polygon || more.length > 0) return -1
  let worst = 0
  for (const element of task.path) {
    for (const p of pointsOf(element)) {
      let nearest = Infinity
      for (let i = 0; i < polygon.length; i++) nearest = Math.min(nearest, toLine(p, polygon[i], polygon[(i + 1) % polygon.length]))
      worst = Math.max(worst, nearest)
    }
  }
  for (const p of polygon) worst = Math.max(worst, Math.min(...task.path.map(element => toElement(p, element))))
  return worst
}

process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(judge)))
