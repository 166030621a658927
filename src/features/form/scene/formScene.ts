import {
  AmbientLight,
  BufferGeometry,
  CatmullRomCurve3,
  DirectionalLight,
  Group,
  InstancedMesh,
  Mesh,
  MeshPhongMaterial,
  PerspectiveCamera,
  Plane,
  Raycaster,
  Scene,
  TorusGeometry,
  TubeGeometry,
  Vector2,
  Vector3,
  WebGLRenderer,
  type Material,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { palette } from '../../../ui/palette';
import { sideDirections, type Side } from '../../../core/shape/form/sight';
import type { StitchLook } from '../../../core/shape/form/stitchFrames';
import type { DrawnForm } from '../drawnForm';
import { eyeGroup, fabricMesh, needlework, stitchMeshes, stuffing } from './meshes';
import { stitchShape } from './stitchShapes';

const { mat, marker } = palette;
const tweenMs = 220;
/** Frames further apart than this while turning look jerky; the strands are then drawn coarser until it rests. */
const slowFrameMs = 55;
const restMs = 250;

/** Where a form is looked at from, and from how far, in the form's own lengths. */
export type ViewFrom = [x: number, y: number, z: number];

interface SceneOptions {
  /** a stitch was tapped, by its index; null beside the form */
  onPick: (stitch: number | null) => void;
  /** no movement that only pleases */
  still: boolean;
  /** the view was turned by hand */
  onTurn?: (from: ViewFrom) => void;
  /** the machine took the drawing away */
  onLost?: () => void;
}

/** The form on a canvas: stitches one by one, turned by thumb, drawn only when something changes. */
export class FormScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(17, 1, 1, 5000);
  private readonly controls: OrbitControls;
  private readonly body = new Group();
  private readonly marks = new Group();
  private readonly cutPlane = new Plane(new Vector3(0, 0, -1), 0);
  private surface: Mesh | null = null;
  private drawn: DrawnForm | null = null;
  private cut = false;
  private radius = 50;
  private queued = 0;
  private readonly coarseShapes = new Map<StitchLook, BufferGeometry>();
  private lastPaint = 0;
  private slowFrames = 0;
  private coarse = false;
  private following = false;
  private settle: ReturnType<typeof setTimeout> | undefined;
  private tween: { from: Vector3; to: Vector3; began: number } | null = null;
  private pressedAt: { x: number; y: number } | null = null;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly options: SceneOptions,
  ) {
    this.renderer = new WebGLRenderer({
      canvas,
      antialias: true,
      preserveDrawingBuffer: true,
      powerPreference: 'low-power',
    });
    this.renderer.setClearColor(mat);
    this.renderer.setPixelRatio(Math.min(window.devicePixelRatio || 1, 2));
    this.renderer.localClippingEnabled = true;
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enablePan = false;
    this.controls.enableDamping = !options.still;
    this.controls.addEventListener('change', this.turned);
    const sun = new DirectionalLight(palette.sun, 2.6);
    sun.position.set(-0.7, 1.1, 1.2);
    // The light goes with the eye, as over a lap.
    this.camera.add(sun);
    this.scene.add(new AmbientLight(palette.daylight, 1.35), this.camera, this.body, this.marks);
    this.camera.position.set(0, 0, 200);
    canvas.addEventListener('pointerdown', this.press);
    canvas.addEventListener('pointerup', this.release);
    canvas.addEventListener('webglcontextlost', this.lost);
  }

  /** Shows a form; the view stays where it was turned to, unless `frame` brings all of it into sight. */
  show(drawn: DrawnForm, frame: boolean): void {
    this.drawn = drawn;
    this.setDetail(false);
    this.clear(this.body);
    const bounds = drawn.placed.reduce((most, value) => Math.max(most, Math.abs(value)), 10);
    this.surface = fabricMesh(drawn);
    this.body.add(this.surface);
    for (const mesh of stitchMeshes(drawn)) this.body.add(mesh);
    if (drawn.stuffed) this.body.add(stuffing(this.surface.geometry));
    for (const eye of drawn.eyes) this.body.add(eyeGroup(eye));
    for (const piece of needlework(drawn)) this.body.add(piece);
    if (frame || Math.abs(bounds / this.radius - 1) > 0.5) {
      this.radius = bounds;
      this.frame();
    }
    this.mark(drawn.selected, drawn.measured);
    this.setCut(this.cut);
    this.draw();
  }

  /** Looks from a side. */
  look(side: Side): void {
    const [x, y, z] = sideDirections[side];
    // Straight from above there is no telling which way is up; a trace of forward settles it.
    const to = new Vector3(x, y, z + (y !== 0 ? 0.001 : 0)).normalize().multiplyScalar(this.distance());
    if (this.options.still) {
      this.camera.position.copy(to);
      this.controls.update();
    } else this.tween = { from: this.camera.position.clone(), to, began: performance.now() };
    this.setCut(this.cut);
  }

  /** Turns the form by a step, for the arrow keys. */
  turn(sideways: number, over: number): void {
    const at = this.camera.position.clone();
    at.applyAxisAngle(new Vector3(0, 1, 0), -sideways);
    const across = new Vector3(at.z, 0, -at.x).normalize();
    const tipped = at.clone().applyAxisAngle(across, -over);
    if (Math.abs(tipped.clone().normalize().y) < 0.995) at.copy(tipped);
    this.camera.position.copy(at);
    this.controls.update();
    this.draw();
  }

  zoom(by: number): void {
    this.camera.position.multiplyScalar(1 / by);
    this.controls.update();
    this.draw();
  }

  /** Cuts the half nearest to the eye away, to look inside. */
  setCut(cut: boolean): void {
    this.cut = cut;
    const towards = (this.tween?.to ?? this.camera.position).clone().setY(0);
    // Along the nearest of the four main sides; from above and from underneath the front half goes.
    if (towards.length() < this.camera.position.length() * 0.2) towards.set(0, 0, 1);
    if (Math.abs(towards.x) > Math.abs(towards.z)) towards.set(Math.sign(towards.x), 0, 0);
    else towards.set(0, 0, Math.sign(towards.z) || 1);
    this.cutPlane.normal.copy(towards).negate();
    this.body.traverse((object) => {
      const material = (object as Mesh).material as Material | undefined;
      if (!material) return;
      const hardware = object.userData.hardware === true;
      const gone =
        cut && hardware && this.cutPlane.distanceToPoint(object.parent?.position ?? object.position) < 0;
      object.visible = !gone && (object.userData.inside !== true || cut);
      material.clippingPlanes = cut && !hardware ? [this.cutPlane] : null;
      material.needsUpdate = true;
    });
    this.draw();
  }

  /** Marks the selected stitch, and the tape between two. */
  mark(selected: number | null, measured: readonly number[]): void {
    this.clear(this.marks);
    if (!this.drawn) return;
    const { placed, step } = this.drawn;
    const at = (stitch: number) =>
      new Vector3(placed[stitch * 3], placed[stitch * 3 + 1], placed[stitch * 3 + 2]);
    const total = placed.length / 3;
    for (const stitch of new Set([...(selected === null ? [] : [selected]), ...measured])) {
      if (stitch >= total) continue;
      const ring = new Mesh(
        new TorusGeometry(step * 0.72, step * 0.14, 8, 24),
        new MeshPhongMaterial({ color: marker, emissive: palette.markerGlow, depthTest: true }),
      );
      ring.position.copy(at(stitch));
      ring.quaternion.setFromUnitVectors(new Vector3(0, 0, 1), this.outward(stitch));
      ring.position.addScaledVector(this.outward(stitch), step * 0.3);
      this.marks.add(ring);
    }
    if (this.drawn.tape.length > 1) {
      const points = this.drawn.tape.map((stitch) =>
        at(stitch).addScaledVector(this.outward(stitch), step * 0.5),
      );
      const tape = new TubeGeometry(
        new CatmullRomCurve3(points, false, 'catmullrom', 0),
        points.length * 4,
        step * 0.13,
        6,
        false,
      );
      this.marks.add(new Mesh(tape, new MeshPhongMaterial({ color: marker, emissive: palette.markerGlow })));
    }
    this.draw();
  }

  resize(width: number, height: number): void {
    if (width < 2 || height < 2) return;
    this.renderer.setSize(width, height, false);
    this.camera.aspect = width / height;
    this.camera.updateProjectionMatrix();
    this.frame();
    this.draw();
  }

  /** The picture as it stands, as a PNG. */
  snapshot(): Promise<Blob | null> {
    this.renderer.render(this.scene, this.camera);
    return new Promise((resolve) => {
      this.canvas.toBlob(resolve, 'image/png');
    });
  }

  /** The form alone, without marks, for saving. */
  model(): Group {
    const model = new Group();
    this.body.traverse((object) => {
      if (object instanceof Mesh && object.userData.inside !== true) model.add(object.clone());
    });
    return model;
  }

  dispose(): void {
    cancelAnimationFrame(this.queued);
    clearTimeout(this.settle);
    for (const shape of this.coarseShapes.values()) shape.dispose();
    this.canvas.removeEventListener('pointerdown', this.press);
    this.canvas.removeEventListener('pointerup', this.release);
    this.canvas.removeEventListener('webglcontextlost', this.lost);
    this.controls.dispose();
    this.clear(this.body);
    this.clear(this.marks);
    this.renderer.dispose();
  }

  /** Looks from where another view looks, so that forms side by side turn together. */
  follow([x, y, z]: ViewFrom): void {
    this.following = true;
    this.camera.position.set(x, y, z);
    this.controls.update();
    this.following = false;
    this.draw();
  }

  private readonly turned = (): void => {
    const { x, y, z } = this.camera.position;
    if (!this.following && !this.tween) this.options.onTurn?.([x, y, z]);
    this.draw();
  };

  private readonly draw = (): void => {
    if (!this.queued) this.queued = requestAnimationFrame(this.paint);
  };

  /** On a slow machine the strands are simpler while they move, and whole again at rest. */
  private keepPace(): void {
    const now = performance.now();
    const gap = now - this.lastPaint;
    this.lastPaint = now;
    if (gap > slowFrameMs && gap < restMs * 4) this.slowFrames += 1;
    if (this.slowFrames > 2) this.setDetail(true);
    clearTimeout(this.settle);
    if (this.coarse)
      this.settle = setTimeout(() => {
        this.setDetail(false);
        this.lastPaint = 0;
        this.draw();
      }, restMs * 2);
  }

  private setDetail(coarse: boolean): void {
    if (this.coarse === coarse) return;
    this.coarse = coarse;
    this.renderer.setPixelRatio(coarse ? 1 : Math.min(window.devicePixelRatio || 1, 2));
    for (const object of this.body.children) {
      if (object instanceof InstancedMesh)
        object.geometry = coarse
          ? this.coarseShape(object.userData.look as StitchLook)
          : (object.userData.still as BufferGeometry);
    }
  }

  private coarseShape(look: StitchLook): BufferGeometry {
    const known = this.coarseShapes.get(look) ?? stitchShape(look, 'coarse');
    this.coarseShapes.set(look, known);
    return known;
  }

  private readonly paint = (): void => {
    this.queued = 0;
    this.keepPace();
    if (this.tween) {
      const share = Math.min(1, (performance.now() - this.tween.began) / tweenMs);
      const { from, to } = this.tween;
      const eased = share * share * (3 - 2 * share);
      this.camera.position.lerpVectors(from, to, eased);
      // Half a turn goes through the middle; keep clear of it.
      if (this.camera.position.length() < 1) this.camera.position.x += 1;
      this.camera.position.setLength(from.length() + (to.length() - from.length()) * eased);
      if (share >= 1) this.tween = null;
    }
    const moving = this.controls.update() || this.tween !== null;
    this.renderer.render(this.scene, this.camera);
    if (moving) this.draw();
  };

  private distance(): number {
    const half = (this.camera.fov * Math.PI) / 360;
    return (this.radius * 1.18) / Math.sin(half) / Math.min(1, this.camera.aspect);
  }

  private frame(): void {
    const distance = this.distance();
    this.controls.minDistance = this.radius * 1.3;
    this.controls.maxDistance = distance * 3;
    if (this.camera.position.length() < 1) this.camera.position.set(0, 0, 1);
    this.camera.position.setLength(distance);
    this.camera.near = distance / 100;
    this.camera.far = distance * 10;
    this.camera.updateProjectionMatrix();
    this.controls.update();
  }

  private outward(stitch: number): Vector3 {
    const { outward } = this.drawn ?? {};
    return outward ? new Vector3(...outward(stitch)) : new Vector3(0, 0, 1);
  }

  private readonly lost = (): void => {
    this.options.onLost?.();
  };

  private readonly press = (event: PointerEvent): void => {
    this.pressedAt = { x: event.clientX, y: event.clientY };
  };

  private readonly release = (event: PointerEvent): void => {
    const began = this.pressedAt;
    this.pressedAt = null;
    // A drag turns the form; only a tap picks.
    if (!began || Math.hypot(event.clientX - began.x, event.clientY - began.y) > 6) return;
    const box = this.canvas.getBoundingClientRect();
    this.options.onPick(
      this.pick(
        ((event.clientX - box.left) / box.width) * 2 - 1,
        1 - ((event.clientY - box.top) / box.height) * 2,
      ),
    );
  };

  private pick(x: number, y: number): number | null {
    if (!this.surface || !this.drawn) return null;
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2(x, y), this.camera);
    const hit = ray
      .intersectObject(this.surface)
      .find(({ point }) => !this.cut || this.cutPlane.distanceToPoint(point) >= 0);
    return hit?.faceIndex === undefined || hit.faceIndex === null
      ? null
      : (this.drawn.surface.stitch[hit.faceIndex] ?? null);
  }

  private clear(group: Group): void {
    group.traverse((object) => {
      const mesh = object as Mesh;
      mesh.geometry?.dispose();
      (mesh.material as Material | undefined)?.dispose();
      if (object instanceof InstancedMesh) object.dispose();
    });
    group.clear();
  }
}
