import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  HemisphereLight,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  PerspectiveCamera,
  Raycaster,
  Scene,
  SphereGeometry,
  Vector2,
  WebGLRenderer,
} from 'three';
import type { Pointed } from './look.js';
import { WORN_COLOURS } from './worn-colours.js';
import type { Leg } from '../../core/draft/index.js';
import { extentOf, placeOf, type Seen, type WornSide } from './worn-side.js';

/** Draws garments in space; `leave` gives back what it holds of the machine. */
export interface WornStage {
  readonly draw: (scene: Seen, size: readonly [number, number], fine: number) => void;
  /** The place of the last garment that is seen at a place of the canvas, from nought to one across and down. */
  readonly at: (across: number, down: number) => Pointed | undefined;
  readonly leave: () => void;
}

/** How wide the camera sees, in degrees: narrow, so that near and far are seen nearly alike. */
const SEES = 18;
/** How much more than the body is seen. */
const ROOM = 1.12;

function meshOf(places: Float32Array, triangles: Uint32Array, colours: Float32Array | undefined): Mesh {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(places, 3));
  if (colours) geometry.setAttribute('color', new BufferAttribute(colours, 3));
  geometry.setIndex(new BufferAttribute(triangles, 1));
  geometry.computeVertexNormals();
  const material = new MeshLambertMaterial({ side: DoubleSide, vertexColors: colours !== undefined });
  if (!colours) material.color = new Color(...WORN_COLOURS.body);
  return new Mesh(geometry, material);
}

/** Both halves of a side: the left at the right hand of who looks, the right one turned about. */
function groupOf({ halves, body }: WornSide): Group {
  const half = (leg: Leg): Group => {
    const { hung, colours } = halves[leg];
    const group = new Group().add(
      meshOf(body.places, body.triangles, undefined),
      ...hung.parts.map((part, m) => {
        const mesh = meshOf(part.places, part.triangles, colours[m]);
        mesh.name = part.part;
        return mesh;
      }),
    );
    group.name = leg;
    return group;
  };
  const [left, right] = [half('left'), half('right')];
  right.scale.x = -1;
  return new Group().add(left, right);
}

/** A small ball that marks a place. */
const markOf = (): Mesh =>
  new Mesh(new SphereGeometry(9, 16, 12), new MeshBasicMaterial({ color: new Color(...WORN_COLOURS.mark) }));

function giveBack(group: Group): void {
  group.traverse((thing) => {
    if (!(thing instanceof Mesh)) return;
    (thing.geometry as BufferGeometry).dispose();
    (thing.material as MeshLambertMaterial).dispose();
  });
}

/** Whether the machine draws in space by itself: where a program does it instead, smooth edges cost too much. */
const drawsByItself = (): boolean =>
  new OffscreenCanvas(1, 1).getContext('webgl2', { failIfMajorPerformanceCaveat: true }) !== null;

/** A stage on a canvas; nothing where the machine draws nothing in space. */
export function wornStage(canvas: OffscreenCanvas): WornStage | undefined {
  let renderer: WebGLRenderer;
  try {
    renderer = new WebGLRenderer({ canvas, antialias: drawsByItself(), alpha: true, preserveDrawingBuffer: true });
  } catch {
    return undefined;
  }
  let sized = '';
  const camera = new PerspectiveCamera(SEES, 1, 10, 20_000);
  const groups = new Map<WornSide, Group>();
  const scene = new Scene();
  const [mark, twin] = [markOf(), markOf()];
  const sun = new DirectionalLight(0xffffff, 1.9);
  scene.add(new HemisphereLight(0xffffff, 0x8a8378, 1.5), sun);
  return {
    draw: ({ sides, look, pointed }, [width, height], fine) => {
      for (const [side, group] of groups) {
        if (sides.includes(side)) continue;
        giveBack(group);
        groups.delete(side);
      }
      // A canvas that is given its size again is made anew.
      if (sized !== `${width} ${height} ${fine}`) {
        sized = `${width} ${height} ${fine}`;
        renderer.setPixelRatio(fine);
        renderer.setSize(width, height, false);
        renderer.setScissorTest(true);
      }
      const { middle, reach } = extentOf(sides);
      const wide = width / Math.max(1, sides.length);
      camera.aspect = wide / height;
      const far = (ROOM * reach) / Math.tan((SEES * Math.PI) / 360) / Math.min(1, camera.aspect * 1.6) / look.near;
      camera.position.set(
        far * Math.sin(look.turn) * Math.cos(look.tip),
        middle + far * Math.sin(look.tip),
        far * Math.cos(look.turn) * Math.cos(look.tip),
      );
      // Nearer, one looks at what the rise does.
      camera.lookAt(0, middle + (look.near > 1 ? reach * 0.5 * Math.min(1, look.near - 1) : 0), 0);
      camera.updateProjectionMatrix();
      sun.position.set(camera.position.x + 0.5 * far, camera.position.y + 0.7 * far, camera.position.z);
      for (const [i, side] of sides.entries()) {
        const group = groups.get(side) ?? groupOf(side);
        groups.set(side, group);
        scene.add(group);
        const pin = i === sides.length - 1 ? placeOf(side, pointed) : undefined;
        if (pin) {
          mark.position.set(...pin);
          twin.position.set(-pin[0], pin[1], pin[2]);
          scene.add(mark);
          // Where both legs are alike, the place is one of either.
          if (side.halves.left === side.halves.right) scene.add(twin);
        }
        renderer.setViewport(i * wide, 0, wide, height);
        renderer.setScissor(i * wide, 0, wide, height);
        renderer.render(scene, camera);
        scene.remove(group, mark, twin);
      }
    },
    at: (across, down) => {
      const last = [...groups.entries()].at(-1);
      if (!last) return undefined;
      const [side, group] = last;
      const share = groups.size;
      const [x, y] = [across * share - (share - 1), down];
      if (x < 0 || x > 1) return undefined;
      const ray = new Raycaster();
      ray.setFromCamera(new Vector2(2 * x - 1, 1 - 2 * y), camera);
      const [hit] = ray.intersectObject(group, true);
      const alike = side.halves.left === side.halves.right;
      const leg: Leg = !alike && hit?.object.parent?.name === 'right' ? 'right' : 'left';
      const part = side.halves[leg].hung.parts.find((p) => p.part === hit?.object.name);
      return part && hit?.face ? { leg, part: part.part, place: hit.face.a } : undefined;
    },
    leave: () => {
      for (const group of groups.values()) giveBack(group);
      renderer.dispose();
    },
  };
}
