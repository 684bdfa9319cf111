import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  DirectionalLight,
  EdgesGeometry,
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
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { sceneAt, type FoldingBox, type Gift, type PlacedFace } from '@rangoli/core';
import type { CardLook } from '../prints/card-look.ts';
import { PrintTextures } from '../prints/print-textures.ts';
import { flatCorners } from './box-faces.ts';
import type { Finery } from './finery.ts';
import { CardMesh } from './card-mesh.ts';
import { giftGroup } from './gift-mesh.ts';
import { litEdges, type LitLine } from './lit-edges.ts';

const turmeric = '#f2b31c';

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

/** The three-dimensional view on a canvas: drawn when something has changed, never in a loop of its own. */
export class FoldStage {
  readonly #renderer: WebGLRenderer;
  readonly #scene = new ThreeScene();
  readonly #camera = new PerspectiveCamera(32, 1, 1, 8000);
  readonly #controls: OrbitControls;
  readonly #world = new Group();
  readonly #sun = new DirectionalLight('#fff6e2', 2.1);
  readonly #lit: LineSegments;
  readonly #marked: LineSegments;
  readonly #textures = new PrintTextures(() => this.draw());
  #mark: Pick<PlacedFace, 'part' | 'face'> | undefined;
  #box: FoldingBox | undefined;
  #card: CardMesh | undefined;
  #cardMesh: Mesh | undefined;
  #outline: LineSegments | undefined;
  #gift: Group | undefined;
  #finery: CardMesh | undefined;
  #fineryMesh: Mesh | undefined;
  #faces: readonly PlacedFace[] = [];
  #drawing = 0;
  #radius = 0;

  /**
   * Takes over a canvas.
   * @throws Error where there is no WebGL.
   */
  constructor(canvas: HTMLCanvasElement) {
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
    this.#scene.add(new HemisphereLight('#ffffff', '#54736a', 1.5));
    this.#scene.add(new AmbientLight('#ffffff', 0.35));
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
      textures: this.#textures,
    });
    this.#cardMesh = new Mesh(this.#card.geometry, this.#card.materials);
    this.#cardMesh.castShadow = true;
    this.#cardMesh.receiveShadow = true;
    this.#gift = giftGroup(gift);
    this.#world.add(this.#cardMesh, this.#gift);
    this.pose(time, open);
    this.#frameBox();
  }

  /** Folds the box to a time, with what opens drawn away by a share. */
  pose(time: number, open: number): void {
    if (!this.#box || !this.#card || !this.#gift) return;
    const scene = sceneAt(this.#box, time, open);
    this.#faces = scene.faces;
    this.#card.move(scene.faces);
    this.#gift.visible = scene.gift > 0;
    this.#gift.position.z = (1 - scene.gift) * 120;
    // It is put on when the box is closed.
    if (this.#fineryMesh) this.#fineryMesh.visible = time >= this.#box.end && open === 0;
    this.#drawOutline();
    this.#drawMark();
    this.draw();
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
    this.#camera.updateProjectionMatrix();
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

  dispose(): void {
    cancelAnimationFrame(this.#drawing);
    this.#clear();
    this.#controls.dispose();
    this.#textures.dispose();
    this.#renderer.dispose();
  }

  #drawOutline(): void {
    if (!this.#card) return;
    if (this.#outline) {
      this.#world.remove(this.#outline);
      this.#outline.geometry.dispose();
    }
    this.#outline = new LineSegments(
      new EdgesGeometry(this.#card.geometry, 40),
      new LineBasicMaterial({ color: '#14302d', transparent: true, opacity: 0.55 }),
    );
    this.#world.add(this.#outline);
  }

  /** Steps back until the flat pieces and the closed box are both in view; later boxes keep the view. */
  #frameBox(): void {
    if (!this.#box) return;
    const flat = sceneAt(this.#box, 0, 0).faces.flatMap(({ ring }) => ring);
    const closed = sceneAt(this.#box, this.#box.end, 0).faces.flatMap(({ ring }) => ring);
    const reach = (points: readonly { x: number; y: number; z: number }[]) =>
      Math.max(...points.map(({ x, y, z }) => Math.hypot(x, y, z)));
    // What is drawn away when it opens, as a band along a long box, is in view too.
    const open = sceneAt(this.#box, this.#box.end, 1).faces.flatMap(({ ring }) => ring);
    const radius = Math.max(0.36 * reach(flat) + 0.7 * reach(closed), 0.85 * reach(open));
    const tall = Math.max(...closed.map(({ z }) => z));
    if (Math.abs(radius - this.#radius) < 0.08 * this.#radius) return;
    const away = radius / Math.tan((16 * Math.PI) / 180);
    const from =
      this.#radius === 0
        ? new Vector3(-0.62, 0.62, 0.82)
        : this.#camera.position.clone().sub(this.#controls.target);
    this.#radius = radius;
    this.#controls.target.set(0, tall * 0.35, 0);
    this.#camera.position.copy(from.normalize().multiplyScalar(away)).add(this.#controls.target);
    this.#camera.near = away / 50;
    this.#camera.far = away * 8;
    this.#camera.updateProjectionMatrix();
    this.#controls.update();
    this.#sun.position.set(-radius * 1.1, radius * 2.2, radius * 0.9);
    const { camera } = this.#sun.shadow;
    camera.left = camera.bottom = -radius * 1.6;
    camera.right = camera.top = radius * 1.6;
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
    this.#finery = this.#fineryMesh = undefined;
  }
}
