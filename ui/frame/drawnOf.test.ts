import { block } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import type { ShownBody, SolidView } from '../solid/useSolid';
import { drawnOf } from './drawnOf';

const { repair } = new RepairDraft('x')
  .body('arm', 'Arm', [block(60, 6, 4)] as never)
  .body('foot', 'Foot', [block(10, 6, 4)] as never);

const shown = (bodyId: string, build: number) => ({ bodyId, build, mesh: { build } }) as unknown as ShownBody;
const view = (bodies: ShownBody[], unchecked: ShownBody[]): SolidView => ({
  bodies,
  of: [],
  unchecked: unchecked as never,
  rebuild: () => {},
});
const drawn = (of: SolidView) => drawnOf(of, repair).map(({ bodyId, mesh }) => [bodyId, mesh]);

test('a body that stands anew is drawn in place of how it was looked over last, the others as they were', () => {
  const of = view([shown('arm', 1), shown('foot', 1)], [shown('arm', 2)]);
  expect(drawn(of)).toEqual([
    ['arm', { build: 2 }],
    ['foot', { build: 1 }],
  ]);
});

test('a kept picture is drawn while nothing else is there, without bodies that are gone', () => {
  const of = view([], [shown('arm', 0), shown('removed since', 0)]);
  expect(drawn(of)).toEqual([['arm', { build: 0 }]]);
});
