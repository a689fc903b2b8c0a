import type { HandMade } from './byHand';
import {
  block,
  emptied,
  headedHole,
  level,
  near,
  prism,
  rectangle,
  sideways,
  slot,
  upright,
  type Piece,
} from './shapes';

/** Parts that begin with a plate or an outline. */
export const PLATES: HandMade = {
  'Shelf bracket': (hand, n) => {
    const [thick, left] = [n.thick!, -n.foot! / 2];
    const half = n.broad! / 2 - n.corner!;
    const top = thick + n.wall!;
    let part = hand.checked(hand.plate(n.foot!, n.broad!, thick, n.corner!));
    part = hand.checked(hand.fuse(part, block(hand, [left, -half, thick], [left + thick, half, top])));
    const rib: Piece[] = [
      [left + thick, thick],
      [left + thick + n.rib!, thick],
      [left + thick, thick + n.rib!],
    ];
    const ribbed = prism(hand, rib, upright(-n.ribThick! / 2), [0, n.ribThick!, 0]);
    part = hand.checked(hand.fuse(part, ribbed));
    for (const side of [1, -1]) {
      const at = [n.foot! / 2 - n.edge!, side * (n.broad! / 2 - n.edge!)] as const;
      const hole = headedHole(hand, at, thick, -1, n.hole!, { across: n.head!, deep: 'sunk' });
      part = hand.checked(hand.cut(part, hole));
    }
    const through = slot(n.slotLong!, n.slotBroad!, 0, thick + (n.wall! * 2) / 3);
    part = hand.checked(hand.cut(part, prism(hand, through, sideways(left - 1), [thick + 2, 0, 0])));
    const rim = hand.edges(
      part,
      (radius, heights) => heights.every((z) => near(z, 0)) && !near(radius ?? 0, n.hole! / 2),
    );
    part = hand.checked(hand.ease(part, rim, n.ease!));
    const lip = hand.edgesAlong(part, (points) => points.every(([, y, z]) => near(y, -half) && near(z, top)));
    return hand.finish(hand.round(part, lip, n.corner! / 2));
  },
  'Lever arm': (hand, n) => {
    const [r, s] = [n.big! / 2, n.small! / 2];
    const out = (r - s) / n.apart!;
    const up = Math.sqrt(1 - out ** 2);
    const band: Piece[] = [
      [n.apart! + s * out, -s * up],
      { via: [n.apart! + s, 0], to: [n.apart! + s * out, s * up] },
      [r * out, r * up],
      { via: [-r, 0], to: [r * out, -r * up] },
    ];
    const [thick, top] = [n.thick!, n.thick! + n.bossHigh!];
    let part = hand.checked(prism(hand, band, level(0), [0, 0, thick]));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, thick, n.boss! / 2, n.bossHigh!)));
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, n.bore! / 2, top + 2)));
    part = hand.checked(hand.cut(part, hand.cylinder(n.apart!, 0, -1, n.pin! / 2, thick + 2)));
    const pocket = slot(n.pocketLong!, n.pocketBroad!, n.pocketAt!);
    part = hand.checked(hand.cut(part, prism(hand, pocket, level(n.floor!), [0, 0, top])));
    const holes = [n.bore! / 2, n.pin! / 2];
    const rim = hand.edges(
      part,
      (radius, heights) => heights.every((z) => near(z, 0)) && !holes.some((one) => near(one, radius ?? 0)),
    );
    part = hand.checked(hand.ease(part, rim, n.ease!));
    part = hand.checked(hand.round(part, hand.circlesAt(part, [0, 0], n.boss! / 2, [top]), n.ease!));
    return hand.finish(hand.ease(part, hand.circlesAt(part, [n.apart!, 0], n.pin! / 2, [0]), n.ease!));
  },
  'Grip of arcs': (hand, n) => {
    const [x, y, thick] = [n.long! / 2, n.broad! / 2, n.thick!];
    const outline: Piece[] = [
      { via: [-x - n.endBulge!, 0], to: [-x, -y] },
      { via: [0, -y - n.bulge!], to: [x, -y] },
      { via: [x + n.endBulge!, 0], to: [x, y] },
      { via: [0, y + n.bulge!], to: [-x, y] },
    ];
    let part = hand.checked(prism(hand, outline, level(0), [0, 0, thick]));
    for (const side of [1, -1]) {
      const head = { across: n.seat!, deep: n.seatDeep! };
      part = hand.checked(hand.cut(part, headedHole(hand, [side * n.at!, 0], thick, -1, n.hole!, head)));
    }
    const deep = n.pocketDeep!;
    const pocket = hand.plate(n.pocket!, n.pocketBroad!, deep + 1, n.soft! / 2);
    part = hand.checked(hand.cut(part, hand.moved(pocket, [0, 0, thick - deep])));
    for (const at of [0, n.hole!, -n.hole!]) {
      part = hand.checked(hand.cut(part, hand.cylinder(0, at, -1, n.hole! / 4, thick / 2 + 1)));
    }
    return hand.finish(hand.fuse(part, hand.cylinder(0, n.broad! / 3, thick, n.hole! / 4, thick / 4)));
  },
  'Box for a switch': (hand, n) => {
    const { wall, high, post } = { wall: n.wall!, high: n.high!, post: n.post! };
    const whole = hand.checked(hand.plate(n.long!, n.broad!, high, n.corner!));
    let part = hand.checked(emptied(hand, whole, wall, high));
    const [x, y] = [n.long! / 2 - wall - post, n.broad! / 2 - wall - post];
    const deep = high - n.screwDeep!;
    for (const [index, at] of (
      [
        [x, y],
        [-x, y],
        [x, -y],
      ] as const
    ).entries()) {
      part = hand.fuse(part, hand.cylinder(...at, wall, post / 2, high - wall));
      // The first post and its screw are steps of their own.
      if (index === 0) hand.check(part);
      part = hand.checked(hand.cut(part, hand.cylinder(...at, deep, n.screw! / 2, n.screwDeep! + 1)));
    }
    const front = -n.broad! / 2;
    const cable = hand.bar([0, front - 1, high / 2], [0, 1, 0], n.cable! / 2, wall + 1);
    part = hand.checked(hand.cut(part, cable));
    const foot = rectangle(n.foot!, n.broad! / 2, n.long! / 2 + n.foot! / 2);
    part = hand.checked(hand.fuse(part, prism(hand, foot, level(0), [0, 0, n.footThick!])));
    const hole = hand.cylinder(n.long! / 2 + n.foot! / 2, 0, -1, n.footHole! / 2, n.footThick! + 2);
    return hand.finish(hand.cut(part, hole));
  },
};
