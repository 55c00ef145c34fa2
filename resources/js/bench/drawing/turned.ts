import {
    BoxGeometry, BufferAttribute, BufferGeometry, CanvasTexture, Color, CylinderGeometry, ConeGeometry,
    DoubleSide, EdgesGeometry, ExtrudeGeometry, Group, Line, LineBasicMaterial,
    LatheGeometry, LineDashedMaterial, LineSegments,
    Mesh, MeshBasicMaterial, OrthographicCamera, Raycaster, Scene as Space, Shape, ShapeGeometry, Sprite, SpriteMaterial, Vector2, Vector3, WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Inks } from '../../theme/inks';
import {
    isTurnedBack, tipAt, type Moment, type Motion, type Scene, type StateRow, type TurnedScene, type TurnedStretch, type Vector,
} from '../answer';
import { AIR, CLASSES, DASHED, SHADES, classifier, inkOf } from './ink';
import { revolved } from './revolved';
import { DIMMED, HIDDEN } from './shows';
import { skinOf, standing, type Off, type Standing } from './stock';
import { distance, type Bounds } from './view';

/** Places of the skin of a stock along its longer side. */
const FINEST = 240;

/** Directions to look from. */
export const STANDS = { corner: [-0.9, -1.2, 0.9], above: [0, 0, 1], front: [0, -1, 0], right: [1, 0, 0] } as const;

export type Stand = keyof typeof STANDS;

/** The same of a lathe, where Z lies and X is up: the end is seen from the tailstock. */
const LATHE_STANDS: Record<Stand, readonly [number, number, number]> = { corner: [0.6, 0.8, 0.7], above: [1, 0, 0], front: [0, 1, 0], right: [0, 0, 1] };

/** How far two steps of a turned surface may differ in radius and be one cone still, mm. */
const STEP = 0.05;

/** The pieces of the drawn path for the graphics card: places two by two, and a colour to each. */
export function piecesOf(
    motion: Motion, scene: Scene, inks: Inks, mask: Uint8Array | null, wanted: (inkClass: number) => boolean,
): { places: Float32Array; colours: Float32Array } {
    const classOf = classifier(motion, scene);
    const corners = motion.cornerX.length;
    const places = new Float32Array(corners * 6);
    const colours = new Float32Array(corners * 6);
    const paper = new Color(inks.sheet);
    const ink = Array.from({ length: CLASSES }, (_, n) => new Color(inkOf(inks, n).replaceAll(' ', ',')));
    const dim = ink.map((colour) => colour.clone().lerp(paper, 0.86));
    let used = 0;
    for (let row = 0; row < motion.rows; row++) {
        const shown = mask === null ? 1 : (mask[row] ?? 0);
        if (shown === HIDDEN) continue;
        for (let i = Math.max(1, motion.firstCorner[row] ?? 0); i < (motion.firstCorner[row + 1] ?? 0); i++) {
            const [fromZ, z] = [motion.cornerZ[i - 1] ?? 0, motion.cornerZ[i] ?? 0];
            const inkClass = classOf(row, fromZ, z);
            if (!wanted(inkClass)) continue;
            places.set([motion.cornerX[i - 1] ?? 0, motion.cornerY[i - 1] ?? 0, fromZ, motion.cornerX[i] ?? 0, motion.cornerY[i] ?? 0, z], used);
            const colour = (shown === DIMMED ? dim : ink)[inkClass] ?? paper;
            colours.set([colour.r, colour.g, colour.b, colour.r, colour.g, colour.b], used);
            used += 6;
        }
    }
    return { places: places.subarray(0, used), colours: colours.subarray(0, used) };
}

/** The run in depth, to be turned about. Draws when something has changed and not otherwise. */
export class TurnedSpace {
    private readonly renderer: WebGLRenderer;

    private readonly space = new Space();

    private readonly camera = new OrthographicCamera();

    private readonly controls: OrbitControls;

    private readonly ground = new Group();

    /** The drawn path and the stock as given, which are hidden where the stock is shown as it is cut. */
    private readonly paths = new Group();

    private readonly cut = new Group();

    private standings: Standing[] = [];

    /** Where the stock is cut in two, or measured. */
    private readonly line = new Group();

    private readonly cursor = new Group();

    private isLathe = false;

    private bounds: Bounds = { min: [-1, -1, -1], max: [1, 1, 1] };

    private size = { width: 1, height: 1 };

    private frame = 0;

    constructor(host: HTMLElement) {
        this.renderer = new WebGLRenderer({ antialias: true });
        this.renderer.domElement.style.cssText = 'display: block; width: 100%; height: 100%';
        host.append(this.renderer.domElement);
        this.camera.up.set(0, 0, 1);
        this.controls = new OrbitControls(this.camera, this.renderer.domElement);
        this.controls.addEventListener('change', () => this.draw());
        this.space.add(this.ground, this.paths, this.cut, this.line, this.cursor);
    }

    close(): void {
        cancelAnimationFrame(this.frame);
        this.controls.dispose();
        for (const group of [this.ground, this.paths, this.cut, this.line, this.cursor]) empty(group);
        this.renderer.dispose();
        this.renderer.domElement.remove();
    }

    resize(width: number, height: number): void {
        if (width === 0 || height === 0) return;
        this.size = { width, height };
        this.renderer.setPixelRatio(window.devicePixelRatio || 1);
        this.renderer.setSize(width, height, false);
        this.frameUp();
    }

    /** Everything that stands still. */
    show(motion: Motion, scene: Scene, inks: Inks, mask: Uint8Array | null, bounds: Bounds): void {
        this.bounds = bounds;
        this.isLathe = scene.turned !== null;
        this.camera.up.set(this.isLathe ? 1 : 0, 0, this.isLathe ? 0 : 1);
        this.space.background = new Color(inks.sheet);
        empty(this.ground);
        empty(this.paths);
        const lines = (wanted: (inkClass: number) => boolean, dashed: boolean) => {
            const { places, colours } = piecesOf(motion, scene, inks, mask, wanted);
            const geometry = new BufferGeometry()
                .setAttribute('position', new BufferAttribute(places, 3))
                .setAttribute('color', new BufferAttribute(colours, 3));
            const unit = Math.max(...bounds.max.map((max, n) => max - (bounds.min[n] ?? 0))) / 90;
            const drawn = new LineSegments(
                geometry,
                dashed
                    ? new LineDashedMaterial({ vertexColors: true, dashSize: unit, gapSize: unit, transparent: true, opacity: 0.6 })
                    : new LineBasicMaterial({ vertexColors: true }),
            );
            if (dashed) drawn.computeLineDistances();
            drawn.frustumCulled = false;
            this.paths.add(drawn);
        };
        lines((inkClass) => inkClass < AIR, false);
        lines((inkClass) => inkClass === AIR, false);
        lines((inkClass) => inkClass === DASHED, true);
        if (scene.turned !== null) this.holding(scene, scene.turned, inks);
        for (const { min, max } of scene.stock === null || scene.turned !== null ? [] : [scene.stock, ...scene.moreStock])
            this.box(this.paths, min, max, inks.stockEdge, inks.stock, 0.25);
        for (const obstacle of scene.obstacles) this.obstacle(obstacle, inks);
        const arm = Math.max(...bounds.max.map((max, n) => max - (bounds.min[n] ?? 0))) / 8;
        [
            [arm, 0, 0],
            [0, arm, 0],
            [0, 0, arm],
        ].forEach((end) =>
            this.ground.add(new Line(new BufferGeometry().setFromPoints([new Vector3(), new Vector3(...end)]), new LineBasicMaterial({ color: inks.oak }))),
        );
        this.frameUp();
    }

    /**
     * The stock as it is cut in the place of the path; the path again where null is given.
     *
     * @param off what of the first field is off beside what is wanted, to be shown instead of how deep it is cut
     */
    stock(standings: Standing[] | null, deepest: number, inks: Inks, off: Off | null = null): void {
        empty(this.cut);
        this.paths.visible = standings === null;
        this.standings = standings ?? [];
        const mix = (colour: string) => new Color(colour.replaceAll(' ', ','));
        // On a dark ground the stock has to be lighter than that even where it is in shade.
        const uncut = mix(inks.dark ? inks.stockEdge : inks.stock);
        const ramp = Array.from({ length: SHADES }, (_, n) => mix(inkOf(inks, n)));
        const [left, gouged] = [mix(inks.slate), mix(inks.clay)];
        this.standings.forEach((standing, number) => {
            const { places, shades, off: offs, corners, edges } = skinOf(standing, deepest, FINEST, number === 0 ? off : null);
            const geometry = new BufferGeometry().setAttribute('position', new BufferAttribute(places, 3)).setIndex(new BufferAttribute(corners, 1));
            geometry.computeVertexNormals();
            const normals = geometry.getAttribute('normal');
            const colours = new Float32Array(places.length);
            shades.forEach((shade, n) => {
                const share = offs?.[n] ?? NaN;
                const colour = Number.isNaN(share)
                    ? offs === null ? (shade < 1e-6 ? uncut : (ramp[Math.min(SHADES - 1, Math.round(shade * (SHADES - 1)))] ?? uncut)) : uncut
                    : share === 0 ? uncut : uncut.clone().lerp(share > 0 ? left : gouged, 0.45 + 0.55 * Math.min(1, Math.abs(share)));
                // As if light came from above and a little from the left: walls stand out from floors.
                const light = 0.62 + 0.38 * Math.max(0, normals.getZ(n) * 0.9 - normals.getX(n) * 0.3 - normals.getY(n) * 0.2);
                colours.set([colour.r * light, colour.g * light, colour.b * light], n * 3);
            });
            geometry.setAttribute('color', new BufferAttribute(colours, 3));
            const skin = new Mesh(geometry, new MeshBasicMaterial({ vertexColors: true, side: DoubleSide }));
            skin.frustumCulled = false;
            this.cut.add(skin);
            const edge = new BufferGeometry().setAttribute('position', new BufferAttribute(edges, 3));
            const drawn = new LineSegments(edge, new LineBasicMaterial({ color: inks.ink, transparent: true, opacity: 0.6 }));
            drawn.frustumCulled = false;
            this.cut.add(drawn);
        });
        this.draw();
    }

    /** A turned part as it stands, cut open, with the path beside it. */
    revolve(stands: readonly TurnedStretch[], scene: Scene, inks: Inks): void {
        empty(this.cut);
        this.turn3d(this.cut, stands, scene, inks.dark ? inks.stockEdge : inks.stock, inks.stockEdge, 1, inks.ink);
        this.draw();
    }

    /** Jaws and chuck, cut open as the part is, and what else stands around it. */
    private holding(scene: Scene, { chuck, solids }: TurnedScene, inks: Inks): void {
        for (const [from, to, inner, outer] of chuck) this.turn3d(this.ground, [[from, to, [inner, outer]]], scene, inks.margin, inks.soft, 0.3, inks.frame);
        for (const { outline } of solids) {
            const shape = new LatheGeometry(outline.map(([z, radius]) => new Vector2(radius, z)), 48).rotateX(Math.PI / 2);
            const skin = new Mesh(shape, new MeshBasicMaterial({ color: inks.soft, transparent: true, opacity: 0.35, depthWrite: false, side: DoubleSide }));
            this.ground.add(skin, new LineSegments(new EdgesGeometry(shape, 20), new LineBasicMaterial({ color: inks.frame })));
        }
    }

    private turn3d(group: Group, stands: readonly TurnedStretch[], scene: Scene, skin: string, opened: string, share: number, edge: string): void {
        const { places, corners, opened: first, edges } = revolved(stands, scene.units === 'mm' ? STEP : STEP / 25.4);
        const mix = (colour: string) => new Color(colour.replaceAll(' ', ','));
        const geometry = new BufferGeometry().setAttribute('position', new BufferAttribute(places, 3)).setIndex(new BufferAttribute(corners, 1));
        geometry.computeVertexNormals();
        const normals = geometry.getAttribute('normal');
        const colours = new Float32Array(places.length);
        const from = corners[first] ?? places.length / 3;
        const [outside, inside] = [mix(skin), mix(skin).lerp(mix(opened), share)];
        for (let n = 0; n < places.length / 3; n++) {
            // As if light came over the shoulder of whoever stands before the machine.
            const light = n >= from ? 1 : 0.55 + 0.45 * Math.max(0, normals.getX(n) * 0.75 + normals.getY(n) * 0.5 + normals.getZ(n) * 0.43);
            const { r, g, b } = n >= from ? inside : outside;
            colours.set([r * light, g * light, b * light], n * 3);
        }
        geometry.setAttribute('color', new BufferAttribute(colours, 3));
        const drawn = new Mesh(geometry, new MeshBasicMaterial({
            vertexColors: true, side: DoubleSide, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1,
        }));
        const lines = new LineSegments(
            new BufferGeometry().setAttribute('position', new BufferAttribute(edges, 3)),
            new LineBasicMaterial({ color: edge, transparent: true, opacity: 0.6 }),
        );
        for (const part of [drawn, lines]) {
            part.frustumCulled = false;
            group.add(part);
        }
    }

    /** Where the stock as it is cut lies under a point of the picture: how high its material stands there. Null beside it. */
    under(x: number, y: number): Vector | null {
        if (this.standings.length === 0) return null;
        const ray = new Raycaster();
        ray.setFromCamera(new Vector2((x / this.size.width) * 2 - 1, 1 - (y / this.size.height) * 2), this.camera);
        const hit = ray.intersectObjects(this.cut.children.filter((part) => part instanceof Mesh))[0]?.point;
        if (hit === undefined) return null;
        for (const one of this.standings) {
            const place = standing(one, hit.x, hit.y);
            if (place !== null) return place;
        }
        return null;
    }

    /** Marks places in plan on the stock, and a line between two of them, at a height above all of it. */
    mark(points: [number, number][], height: number, inks: Inks, joined: boolean): void {
        empty(this.line);
        const reach = Math.max(...this.bounds.max.map((max, n) => max - (this.bounds.min[n] ?? 0)));
        const look = new LineBasicMaterial({ color: inks.ink, depthTest: false });
        const add = (...places: [number, number][]) => {
            const drawn = new Line(new BufferGeometry().setFromPoints(places.map(([x, y]) => new Vector3(x, y, height))), look);
            drawn.renderOrder = 2;
            this.line.add(drawn);
        };
        for (const [x, y] of points) {
            add([x - reach / 40, y], [x + reach / 40, y]);
            add([x, y - reach / 40], [x, y + reach / 40]);
        }
        const [from, to] = points;
        if (joined && from !== undefined && to !== undefined) {
            add(from, to);
            // Lettered at both ends, as the section beside it is.
            for (const [x, y] of [from, to]) this.line.add(letter('A', inks.ink, new Vector3(x, y, height + reach / 24), reach / 16));
        }
        this.draw();
    }

    /** The tool where the run is, and the move it is on. */
    at(moment: Moment | null, motion: Motion, scene: Scene, states: StateRow[], inks: Inks): void {
        empty(this.cursor);
        if (moment !== null && moment.row >= 0 && moment.row < motion.rows) {
            const [x, y, z] = tipAt(motion, moment);
            const number = states[motion.state[moment.row] ?? 0]?.tool ?? 0;
            const tool = scene.tools[number];
            const reach = Math.max(...this.bounds.max.map((max, n) => max - (this.bounds.min[n] ?? 0)));
            const radius = Math.max((tool?.diameter ?? 0) / 2, reach / 160);
            const point = tool?.point ?? 0;
            const look = new MeshBasicMaterial({ color: inks.ink, transparent: true, opacity: 0.28, depthWrite: false });
            const insert = scene.turned?.shapes[number] ?? [];
            for (const shape of [insert, ...(scene.turned?.holders[number] ?? [])]) if (shape.length > 2) this.cursor.add(insertAt(shape, x, z, look));
            const isUpright = scene.turned === null && !isTurnedBack(motion, moment.row);
            if (isUpright) {
                const shank = new Mesh(new CylinderGeometry(radius, radius, reach / 2, 24), look);
                shank.rotation.x = Math.PI / 2;
                shank.position.set(x, y, z + point + reach / 4);
                this.cursor.add(shank);
            }
            if (isUpright && point > 0) {
                const cone = new Mesh(new ConeGeometry(radius, point, 24), look);
                cone.rotation.x = -Math.PI / 2;
                cone.position.set(x, y, z + point / 2);
                this.cursor.add(cone);
            }
            const first = Math.max(1, motion.firstCorner[moment.row] ?? 0) - 1;
            const end = motion.firstCorner[moment.row + 1] ?? 0;
            const path = Array.from(
                { length: Math.max(0, end - first) },
                (_, n) => new Vector3(motion.cornerX[first + n], motion.cornerY[first + n], motion.cornerZ[first + n]),
            );
            if (path.length > 1) {
                const picked = new Line(new BufferGeometry().setFromPoints(path), new LineBasicMaterial({ color: inks.ink, depthTest: false }));
                picked.renderOrder = 1;
                this.cursor.add(picked);
            }
        }
        this.draw();
    }

    look(from: Stand): void {
        this.camera.position.copy(this.middle().add(new Vector3(...(this.isLathe ? LATHE_STANDS : STANDS)[from]).normalize().multiplyScalar(this.far())));
        this.controls.target.copy(this.middle());
        this.camera.zoom = 1;
        this.controls.update();
        this.frameUp();
    }

    /** Turns about the upright, and up or down, by so many degrees. */
    turn(about: number, up: number): void {
        const away = this.camera.position.clone().sub(this.controls.target);
        const upright = this.camera.up;
        away.applyAxisAngle(upright, (about * Math.PI) / 180);
        const side = new Vector3().crossVectors(upright, away).normalize();
        const steep = Math.asin(Math.min(1, Math.max(-1, away.dot(upright) / away.length())));
        const wanted = Math.min(1.55, Math.max(-1.55, steep + (up * Math.PI) / 180));
        away.applyAxisAngle(side, steep - wanted);
        this.camera.position.copy(this.controls.target).add(away);
        this.controls.update();
        this.draw();
    }

    zoom(factor: number): void {
        this.camera.zoom = Math.min(200, Math.max(0.1, this.camera.zoom * factor));
        this.camera.updateProjectionMatrix();
        this.draw();
    }

    /** The row whose drawn path is nearest a point of the picture, or -1 where none is near. */
    pick(motion: Motion, mask: Uint8Array | null, x: number, y: number): number {
        const { width, height } = this.size;
        const at = new Vector3();
        let [best, found, fromX, fromY] = [9, -1, NaN, NaN];
        for (let row = 0; row < motion.rows; row++) {
            for (let i = motion.firstCorner[row] ?? 0; i < (motion.firstCorner[row + 1] ?? 0); i++) {
                at.set(motion.cornerX[i] ?? 0, motion.cornerY[i] ?? 0, motion.cornerZ[i] ?? 0).project(this.camera);
                const [toX, toY] = [((at.x + 1) / 2) * width, ((1 - at.y) / 2) * height];
                const gap = mask !== null && mask[row] !== 1 ? Infinity : distance(x, y, fromX, fromY, toX, toY);
                if (gap < best) [best, found] = [gap, row];
                [fromX, fromY] = [toX, toY];
            }
        }
        return found;
    }

    private obstacle({ min, max, outline }: Scene['obstacles'][number], inks: Inks): void {
        const shape = new ExtrudeGeometry(new Shape(outline.map(([x, y]) => new Vector2(x, y))), { depth: max[2] - min[2], bevelEnabled: false });
        const sides = new Mesh(shape, new MeshBasicMaterial({ color: inks.soft, transparent: true, opacity: 0.3, depthWrite: false }));
        const edges = new LineSegments(new EdgesGeometry(shape, 20), new LineBasicMaterial({ color: inks.frame }));
        for (const part of [sides, edges]) {
            part.position.z = min[2];
            this.ground.add(part);
        }
    }

    private box(group: Group, min: readonly number[], max: readonly number[], edge: string, face: string, opacity: number): void {
        const size = max.map((value, n) => Math.max(1e-6, value - (min[n] ?? 0)));
        const shape = new BoxGeometry(size[0], size[1], size[2]);
        const middle = max.map((value, n) => (value + (min[n] ?? 0)) / 2);
        const sides = new Mesh(shape, new MeshBasicMaterial({ color: face, transparent: true, opacity, depthWrite: false }));
        const edges = new LineSegments(new EdgesGeometry(shape), new LineBasicMaterial({ color: edge }));
        for (const part of [sides, edges]) {
            part.position.set(middle[0] ?? 0, middle[1] ?? 0, middle[2] ?? 0);
            group.add(part);
        }
    }

    private middle(): Vector3 {
        const { min, max } = this.bounds;
        return new Vector3((min[0] + max[0]) / 2, (min[1] + max[1]) / 2, (min[2] + max[2]) / 2);
    }

    private far(): number {
        return 4 * new Vector3(...this.bounds.max).sub(new Vector3(...this.bounds.min)).length();
    }

    /** Lays the frame so that all of the job is in it, however it is turned. */
    private frameUp(): void {
        const half = new Vector3(...this.bounds.max).sub(new Vector3(...this.bounds.min)).length() / 2;
        const wide = Math.max(1, this.size.width / this.size.height);
        const high = Math.max(1, this.size.height / this.size.width);
        Object.assign(this.camera, { left: -half * wide, right: half * wide, top: half * high, bottom: -half * high, near: 0, far: 3 * this.far() });
        this.camera.updateProjectionMatrix();
        this.draw();
    }

    private draw(): void {
        cancelAnimationFrame(this.frame);
        this.frame = requestAnimationFrame(() => this.renderer.render(this.space, this.camera));
    }
}

/** What cuts on a lathe or holds it, flat in the plane the tools move in, with the tip at a place. */
function insertAt(shape: readonly [number, number][], x: number, z: number, look: MeshBasicMaterial): Mesh {
    const flat = new ShapeGeometry(new Shape(shape.map(([along, up]) => new Vector2(z + along, x + up))));
    const places = flat.getAttribute('position');
    for (let n = 0; n < places.count; n++) places.setXYZ(n, places.getY(n), 0, places.getX(n));
    look.side = DoubleSide;
    const insert = new Mesh(flat, look);
    insert.renderOrder = 1;
    return insert;
}

/** A letter that faces whoever looks at it. */
function letter(text: string, ink: string, place: Vector3, size: number): Sprite {
    const canvas = document.createElement('canvas');
    canvas.width = canvas.height = 64;
    const pen = canvas.getContext('2d');
    if (pen !== null) {
        pen.font = '700 52px "Source Sans 3", sans-serif';
        pen.textAlign = 'center';
        pen.fillStyle = ink;
        pen.fillText(text, 32, 50);
    }
    const sprite = new Sprite(new SpriteMaterial({ map: new CanvasTexture(canvas), depthTest: false, transparent: true }));
    sprite.position.copy(place);
    sprite.scale.setScalar(size);
    sprite.renderOrder = 3;
    return sprite;
}

/** Takes everything out of a group and gives its memory back. */
function empty(group: Group): void {
    for (const part of [...group.children]) {
        if (part instanceof Mesh || part instanceof Line) {
            (part.geometry as BufferGeometry).dispose();
            for (const material of [part.material].flat()) (material as LineBasicMaterial).dispose();
        }
        if (part instanceof Sprite) {
            part.material.map?.dispose();
            part.material.dispose();
        }
        group.remove(part);
    }
}
