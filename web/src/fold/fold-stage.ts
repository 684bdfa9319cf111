import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  Group,
  HemisphereLight,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  PCFShadowMap,
  PerspectiveCamera,
  PlaneGeometry,
  Raycaster,
  Scene as ThreeScene,
  ShadowMaterial,
  Vector2,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import {
  outermostPoints,
  sceneAt,
  type FoldingBox,
  type Gift,
  type PlacedFace,
} from '@rangoli/core';
import type { CardLook } from '../prints/card-look.ts';
import { PrintTextures } from '../prints/print-textures.ts';
import { flatCorners, isCreased } from './box-faces.ts';
import type { Finery } from './finery.ts';
import { CardLines } from './card-lines.ts';
import { CardMesh, coreOf } from './card-mesh.ts';
import { distanceFor, middleOf, type Place } from './composing.ts';
import { comesFrom } from './gift-faces.ts';
import { giftGroup } from './gift-mesh.ts';
import { litEdges, type LitLine } from './lit-edges.ts';

const turmeric = '#f2b31c';

/** So much of the picture is filled; the sizes stand over the box, and the slider under it. */
const filled = { across: 0.88, high: 0.74 } as const;
const lifted = 0.05;

function geometryOf(points: readonly PlacedFace['out'][]): BufferGeometry {
  const geometry = new BufferGeometry();
  const places = new Float32Array(points.flatMap(({ x, y, z }) => [x, y, z]));
  return geometry.setAttribute('position', new BufferAttribute(places, 3));
}

/** A box that is shown, with how its card looks, its gift, and what is put on it when it is closed. */
interface Shown {
  readonly box: FoldingBox;
  readonly looks: ReadonlyMap<string, CardLook>;
  readonly gift: Gift;
  readonly finery: Finery | undefined;
}

/** The three-dimensional view on a canvas of its own: drawn when something has changed, never in a loop of its own. */
export class FoldStage {
  readonly canvas = document.createElement('canvas');
  readonly #renderer: WebGLRenderer;
  readonly #scene = new ThreeScene();
  readonly #camera = new PerspectiveCamera(32, 1, 1, 8000);
  readonly #controls: OrbitControls;
  readonly #world = new Group();
  readonly #sun = new DirectionalLight('#fffaf0', 2);
  readonly #lit: LineSegments;
  readonly #marked: LineSegments;
  readonly #textures = new PrintTextures(() => this.draw());
  #mark: Pick<PlacedFace, 'part' | 'face'> | undefined;
  #box: FoldingBox | undefined;
  #card: CardMesh | undefined;
  #cardMesh: Mesh | undefined;
  #lines: CardLines | undefined;
  #gift: Group | undefined;
  #finery: CardMesh | undefined;
  #fineryMesh: Mesh | undefined;
  #faces: readonly PlacedFace[] = [];
  #drawing = 0;
  #giftPlaces: readonly { readonly x: number; readonly y: number; readonly z: number }[] = [];
  /** How large the closed box was when it was last framed, and the distance at which what is seen now just fits. */
  #size = 0;
  #fits = 0;

  /**
   * Makes its canvas.
   * @throws Error where there is no WebGL.
   */
  constructor() {
    const { canvas } = this;
    this.#renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true });
    this.#renderer.shadowMap.enabled = true;
    this.#renderer.shadowMap.type = PCFShadowMap;
    this.#controls = new OrbitControls(this.#camera, canvas);
    this.#controls.enablePan = false;
    this.#controls.maxPolarAngle = Math.PI * 0.49;
    this.#controls.addEventListener('change', () => this.draw());
    // Three's own up is y; boxes count upwards in z.
    this.#world.rotation.x = -Math.PI / 2;
    this.#scene.add(this.#world);
    // Together they give what faces the eye the colours of the flat drawing, and let no side go dark.
    this.#scene.add(new HemisphereLight('#ffffff', '#a9bdb4', 0.8));
    this.#scene.add(new AmbientLight('#ffffff', 1.1));
    this.#sun.castShadow = true;
    this.#sun.shadow.mapSize.set(1024, 1024);
    this.#sun.shadow.radius = 6;
    this.#sun.shadow.bias = -0.0008;
    this.#sun.shadow.normalBias = 0.6;
    this.#scene.add(this.#sun, this.#sun.target);
    const ground = new Mesh(new PlaneGeometry(6000, 6000), new ShadowMaterial({ opacity: 0.32 }));
    ground.position.z = -2;
    ground.receiveShadow = true;
    this.#world.add(ground);
    this.#lit = new LineSegments(
      new BufferGeometry(),
      new LineBasicMaterial({ color: turmeric, linewidth: 3, depthTest: false }),
    );
    this.#lit.renderOrder = 2;
    this.#marked = new LineSegments(new BufferGeometry(), this.#lit.material);
    this.#marked.renderOrder = 2;
    this.#world.add(this.#lit, this.#marked);
  }

  /** Shows another box, or the same one after a change; the view stays as it was turned. */
  show(
    { box, looks, gift, finery }: Shown,
    { time, open }: { readonly time: number; readonly open: number },
  ): void {
    this.#clear();
    this.#box = box;
    if (finery && finery.faces.length > 0) {
      this.#finery = new CardMesh(finery.faces, { ...finery.skin, textures: this.#textures });
      this.#fineryMesh = new Mesh(this.#finery.geometry, this.#finery.materials);
      this.#fineryMesh.castShadow = true;
      this.#world.add(this.#fineryMesh);
    }
    const closed = sceneAt(box, box.end, 0).faces;
    this.#card = new CardMesh(closed, {
      looks,
      flatOf: (face) => flatCorners(box, face),
      isCreased: (face, from, to) => isCreased(box, face, from, to),
      textures: this.#textures,
    });
    this.#cardMesh = new Mesh(this.#card.geometry, this.#card.materials);
    this.#cardMesh.castShadow = true;
    this.#cardMesh.receiveShadow = true;
    this.#gift = giftGroup(gift);
    this.#giftPlaces = outermostPoints(gift);
    const dark = new Color('#14302d');
    this.#lines = new CardLines(closed, this.#card.edges, ({ face, kind }) => {
      const look = looks.get(closed[face]?.part ?? '');
      return kind === 'cut' && look ? coreOf(look) : dark;
    });
    this.#world.add(this.#cardMesh, this.#gift, this.#lines.group);
    this.#move(time, open);
    this.#frameBox();
    this.draw();
  }

  /** Folds the box to a time, with what opens drawn away by a share. */
  pose(time: number, open: number): void {
    this.#move(time, open);
    this.#follow();
    this.draw();
  }

  #move(time: number, open: number): void {
    if (!this.#box || !this.#card || !this.#gift) return;
    const scene = sceneAt(this.#box, time, open);
    this.#faces = scene.faces;
    this.#card.move(scene.faces);
    this.#gift.visible = scene.gift > 0;
    this.#gift.position.z = (1 - scene.gift) * comesFrom;
    // It is put on when the box is closed.
    if (this.#fineryMesh) this.#fineryMesh.visible = time >= this.#box.end && open === 0;
    this.#lines?.move(scene.faces);
    this.#drawMark();
  }

  /** Lights the edges that these lines of a piece have become. */
  light(lines: readonly LitLine[]): void {
    if (!this.#box) return;
    const points = litEdges(this.#box, this.#faces, lines);
    this.#lit.geometry.dispose();
    this.#lit.geometry = geometryOf(points);
    this.#lit.visible = points.length > 0;
    this.draw();
  }

  /** The face that is seen at a place of the canvas, from −1 to 1 to the right and upwards. */
  faceAt(x: number, y: number): PlacedFace | undefined {
    if (!this.#cardMesh || !this.#card) return undefined;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2(x, y), this.#camera);
    const [hit] = ray.intersectObject(this.#cardMesh);
    if (hit?.faceIndex === undefined || hit.faceIndex === null) return undefined;
    return this.#faces[this.#card.faceAt(hit.faceIndex)];
  }

  /** Draws a line round a face, as it stands now and as it moves; round none where none is given. */
  mark(face: Pick<PlacedFace, 'part' | 'face'> | undefined): void {
    this.#mark = face;
    this.#drawMark();
    this.draw();
  }

  #drawMark(): void {
    const marked = this.#mark;
    const face =
      marked && this.#faces.find((each) => each.part === marked.part && each.face === marked.face);
    this.#marked.visible = face !== undefined;
    if (!face) return;
    const { ring } = face;
    const points = ring.flatMap((from, i) => [from, ring[(i + 1) % ring.length] ?? from]);
    this.#marked.geometry.dispose();
    this.#marked.geometry = geometryOf(points);
  }

  /** Turns the view by so many degrees round the box and over it. */
  turn(round: number, over: number): void {
    const away = this.#camera.position.clone().sub(this.#controls.target);
    const radius = away.length();
    const polar = Math.acos(away.y / radius) - (over * Math.PI) / 180;
    const azimuth = Math.atan2(away.x, away.z) - (round * Math.PI) / 180;
    const safe = Math.min(Math.PI * 0.49, Math.max(0.05, polar));
    this.#camera.position.setFromSphericalCoords(radius, safe, azimuth).add(this.#controls.target);
    this.#controls.update();
    this.draw();
  }

  /** Fits the canvas to a size in pixels. */
  resize(width: number, height: number): void {
    this.#renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    this.#renderer.setSize(width, height, false);
    this.#camera.aspect = width / Math.max(1, height);
    // Over the slider, and not behind it.
    this.#camera.setViewOffset(width, height, 0, lifted * height, width, height);
    this.#camera.updateProjectionMatrix();
    this.#follow();
    this.draw();
  }

  /** Draws once, before the next picture on the screen. */
  draw(): void {
    if (this.#drawing !== 0) return;
    this.#drawing = requestAnimationFrame(() => {
      this.#drawing = 0;
      this.#renderer.render(this.#scene, this.#camera);
    });
  }

  /** Empties it and takes its canvas out of the page; the next box is looked at from the front again. */
  rest(): void {
    cancelAnimationFrame(this.#drawing);
    this.#drawing = 0;
    this.#clear();
    this.#faces = [];
    this.#giftPlaces = [];
    this.#mark = undefined;
    this.#lit.visible = this.#marked.visible = false;
    this.#size = this.#fits = 0;
    this.canvas.remove();
  }

  /** Gives back what it holds of the machine: it is of no use afterwards. */
  dispose(): void {
    this.rest();
    this.#controls.dispose();
    this.#textures.dispose();
    this.#renderer.dispose();
  }

  /** What is in the picture at this time, as three counts it: card, and the gift where it will lie. */
  #placesOf(faces: readonly PlacedFace[]): readonly Place[] {
    const places = [...faces.flatMap(({ ring }) => ring), ...this.#giftPlaces];
    return places.map(({ x, y, z }) => ({ x, y: z, z: -y }));
  }

  #distanceFor(places: readonly Place[]): number {
    return distanceFor(places, {
      away: this.#camera.position.clone().sub(this.#controls.target),
      target: this.#controls.target,
      tangent: Math.tan(((this.#camera.fov / 2) * Math.PI) / 180),
      aspect: this.#camera.aspect,
      filled,
    });
  }

  /** Goes so near that what is seen now fills the picture, or as much nearer or farther as the maker has gone. */
  #follow(): void {
    if (this.#fits === 0) return;
    const { target } = this.#controls;
    const away = this.#camera.position.clone().sub(target);
    const zoom = away.length() / this.#fits;
    const now = this.#placesOf(this.#faces);
    const { x, y, z } = middleOf(now, away);
    target.set(x, y, z);
    this.#camera.position.copy(away).add(target);
    this.#fits = this.#distanceFor(now);
    this.#camera.position.copy(away.setLength(zoom * this.#fits)).add(target);
    this.#reachAround(now);
  }

  /** The first box is looked at from the front; a later one that is about as large keeps the view. */
  #frameBox(): void {
    if (!this.#box) return;
    const closed = this.#placesOf(sceneAt(this.#box, this.#box.end, 0).faces);
    const size = Math.max(...closed.map(({ x, y, z }) => Math.hypot(x, y, z)));
    if (Math.abs(size - this.#size) < 0.08 * this.#size) return;
    this.#size = size;
    if (this.#fits === 0) {
      this.#fits = 1;
      this.#camera.position.set(-0.62, 0.62, 0.82).normalize();
    }
    this.#follow();
    this.#controls.update();
  }

  /** The camera sees, and the sun lights, all round the box. */
  #reachAround(places: readonly Place[]): void {
    const away = this.#camera.position.distanceTo(this.#controls.target);
    this.#camera.near = away / 50;
    this.#camera.far = away * 8;
    this.#camera.updateProjectionMatrix();
    const radius = Math.max(...places.map(({ x, y, z }) => Math.hypot(x, y, z)));
    this.#sun.position.set(-radius * 0.6, radius * 2, radius * 1.3);
    const { camera } = this.#sun.shadow;
    camera.left = camera.bottom = -radius * 1.3;
    camera.right = camera.top = radius * 1.3;
    camera.near = 1;
    camera.far = radius * 6;
    camera.updateProjectionMatrix();
  }

  #clear(): void {
    if (this.#cardMesh) this.#world.remove(this.#cardMesh);
    if (this.#gift) this.#world.remove(this.#gift);
    if (this.#fineryMesh) this.#world.remove(this.#fineryMesh);
    this.#card?.dispose();
    this.#finery?.dispose();
    if (this.#lines) this.#world.remove(this.#lines.group);
    this.#lines?.dispose();
    this.#box = this.#card = this.#cardMesh = this.#gift = this.#lines = undefined;
    this.#finery = this.#fineryMesh = undefined;
  }
}
