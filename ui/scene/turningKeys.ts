import { ownValue } from '@core/foundations/own';

/** What is turned and zoomed by keys. */
interface Turned {
  turn(right: number, up: number): void;
  zoom(factor: number): void;
  fit(): void;
}

/** Turn of an arrow key, radians. */
const KEY_TURN = Math.PI / 24;
const KEY_ZOOM = 1.2;

const ACTS: Record<string, (scene: Turned) => void> = {
  ArrowLeft: (scene) => scene.turn(-KEY_TURN, 0),
  ArrowRight: (scene) => scene.turn(KEY_TURN, 0),
  ArrowUp: (scene) => scene.turn(0, KEY_TURN),
  ArrowDown: (scene) => scene.turn(0, -KEY_TURN),
  '+': (scene) => scene.zoom(KEY_ZOOM),
  '=': (scene) => scene.zoom(KEY_ZOOM),
  '-': (scene) => scene.zoom(1 / KEY_ZOOM),
  '0': (scene) => scene.fit(),
};

/** Turns and zooms what is looked at by the arrow keys, plus, minus and 0; other keys keep their meaning. */
export function turnByKey(event: React.KeyboardEvent, scene: Turned | null): void {
  const act = ownValue(ACTS, event.key);
  if (!act || !scene) return;
  event.preventDefault();
  act(scene);
}
