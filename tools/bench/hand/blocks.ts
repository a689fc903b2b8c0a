import type { HandMade } from './byHand';
import { headedHole, level, near, prism, ring, slot, upright, type Piece } from './shapes';

/** Leaves, clamps and wedges. */
export const BLOCKS: HandMade = {
  'Hinge leaf': (hand, n) => {
    const { long, broad, thick } = { long: n.long!, broad: n.broad!, thick: n.thick! };
    const hole = (index: number) =>
      headedHole(
        hand,
        [-long / 2 + n.edge! + (index * (long - 2 * n.edge!)) / 2, -broad / 2 + n.edge!],
        thick,
        -1,
        n.hole!,
        { across: n.head!, deep: 'sunk' },
      );
    let part = hand.checked(hand.box(long, broad, thick));
    part = hand.checked(hand.cut(part, hole(0)));
    part = hand.checked(hand.cut(part, hole(1), hole(2)));
    const [y, z] = [broad / 2 + n.knuckle! / 2 - 1, n.knuckle! / 2];
    for (const from of [-long / 2, long / 2 - n.knuckleLong!]) {
      const knuckle = hand.bar([from, y, z], [1, 0, 0], n.knuckle! / 2, n.knuckleLong!);
      part = hand.checked(hand.fuse(part, knuckle));
    }
    part = hand.checked(hand.cut(part, hand.bar([-long / 2 - 1, y, z], [1, 0, 0], n.pin! / 2, long + 2)));
    part = hand.checked(hand.fuse(part, hand.box(n.lug!, n.lug!, n.lugHigh!, thick)));
    const rim = hand.edges(part, (_, heights) => heights.every((at) => near(at, thick + n.lugHigh!)));
    return hand.finish(hand.ease(part, rim, n.ease!));
  },
  'Pipe clamp': (hand, n) => {
    const { long, broad, high } = { long: n.long!, broad: n.broad!, high: n.high! };
    let part = hand.checked(hand.box(long, broad, high));
    const pipe = hand.bar([0, -broad / 2 - 1, high], [0, 1, 0], n.pipe! / 2, broad + 2);
    part = hand.checked(hand.cut(part, pipe));
    const screw = (side: number) => hand.cylinder(side * n.at!, 0, -1, n.screw! / 2, high + 2);
    const seat = (side: number) => hand.cylinder(side * n.at!, 0, -1, n.head! / 2, n.headDeep! + 1);
    part = hand.checked(hand.cut(part, screw(1)));
    part = hand.checked(hand.cut(part, seat(1)));
    part = hand.checked(hand.cut(part, screw(-1), seat(-1)));
    part = hand.checked(hand.cut(part, hand.box(n.groove!, broad + 2, n.grooveDeep! + 1, -1)));
    part = hand.checked(hand.cut(part, hand.box(long + 2, broad + 2, high, high - n.gap!)));
    const upright4 = hand.edgesAlong(part, (points) =>
      points.every(([x, y]) => near(Math.abs(x), long / 2) && near(Math.abs(y), broad / 2)),
    );
    return hand.finish(hand.round(part, upright4, n.soft!));
  },
  'Wedge stay': (hand, n) => {
    const { long, broad, low, high } = { long: n.long!, broad: n.broad!, low: n.low!, high: n.high! };
    const side: Piece[] = [
      [-long / 2, 0],
      [long / 2, 0],
      [long / 2, high],
      [-long / 2, low],
    ];
    let part = hand.checked(prism(hand, side, upright(-broad / 2), [0, broad, 0]));
    const through = prism(hand, slot(n.slotLong!, n.slotBroad!), level(-1), [0, 0, high + 2]);
    part = hand.checked(hand.cut(part, through));
    const peg = hand.bar([-long / 2, 0, low / 2], [-1, 0, 0], n.peg! / 2, n.pegHigh!);
    part = hand.checked(hand.fuse(part, peg));
    const eye = hand.checked(ring(hand, [long, 0, n.ringThick! / 2], n.ring! / 2, n.ringThick! / 2));
    const [out, half] = [n.bump!, broad / 4];
    const ridge: Piece[] = [
      [long / 2, high / 2],
      [long / 2 + out, high / 2],
      [long / 2, high / 2 + 2 * out],
    ];
    part = hand.checked(hand.fuse(part, prism(hand, ridge, upright(-half), [0, 2 * half, 0])));
    for (const end of [1, -1]) {
      const at = [long / 2 - n.slotBroad!, (end * broad) / 4] as const;
      part = hand.checked(hand.cut(part, hand.cylinder(...at, -1, n.slotBroad! / 4, low / 2 + 1)));
    }
    const tip = hand.edgesAlong(part, (points) => points.every(([x]) => near(x, -long / 2 - n.pegHigh!)));
    return hand.finish(hand.together(hand.ease(part, tip, n.bump! / 2), eye));
  },
};
