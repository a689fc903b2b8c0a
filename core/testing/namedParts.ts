import type { Repair, Step } from '@core/record/model';

import { block, outlineOf, plain, raised, stepOf } from './pieces';
import { RepairDraft } from './repairDraft';

const named = (step: Step, id: string): Step => ({ ...step, id });
const circle = (diameter: number) => outlineOf('circle', { diameter });

/** A repair whose recipes have every kind of step that the real parts have not, each by an id of its own: names of faces begin with it. */
export function partsOfOtherKinds(): Repair {
  const bolt = named(block(8, 6, 4), 'bolt-block');
  const room = {
    ...stepOf('body', { effect: 'cut', grow: 0.25, wayIn: 'none' }, 'room'),
    of: 'bolt',
  } as Step;
  const blend = {
    ...stepOf('loft', { effect: 'add', on: 'bottom', x: 0, y: 0 }, 'blend'),
    sections: [
      { outline: circle(20), ...plain({ at: 0, x: 0, y: 0 }), turn: 0 },
      {
        outline: outlineOf('rectangle', { length: 12, breadth: 8, cornerRadius: 0 }),
        ...plain({ at: 15, x: 0, y: 0 }),
        turn: 0,
      },
    ],
    between: 'straight',
  } as unknown as Step;
  const post = named(
    raised(outlineOf('rectangle', { length: 10, breadth: 10, cornerRadius: 0 }), 5, { on: 'top' }),
    'post',
  );
  return new RepairDraft('Names of faces')
    .body('bolt', 'Bolt', [bolt], 'counterpart')
    .body('case', 'Case', [
      named(
        raised(outlineOf('rectangle', { length: 40, breadth: 20, cornerRadius: 2 }), 14, { lift: -5 }),
        'shell-block',
      ),
      room,
    ])
    .body('blended', 'Blended', [blend])
    .body('lettered', 'Lettered', [
      named(block(40, 20, 4), 'plate'),
      {
        ...stepOf('text', { effect: 'add', on: 'top', x: 0, y: 0, height: 6, depth: 0.6 }, 'letters'),
        text: 'AB',
        turn: 0,
      } as Step,
    ])
    .body('worked', 'Worked', [
      named(block(40, 20, 10), 'base'),
      post,
      { ...stepOf('draft', { held: 'bottom' }, 'lean'), of: 'post', angle: 0.1 } as Step,
      stepOf('offset', { of: 'all', by: 0.2 }, 'larger'),
      { ...stepOf('move', { dx: 5, dy: 0, dz: 2, axis: 'z', turn: 0.5 }, 'moved'), scale: 1 } as Step,
      stepOf('chamfer', { size: 0.5, where: { edges: 'rims', of: 'post' } }, 'eased'),
    ]).repair;
}
