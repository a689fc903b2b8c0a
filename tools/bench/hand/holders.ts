import type { HandMade } from './byHand';
import {
  block,
  headedHole,
  hexagon,
  level,
  near,
  prism,
  rectangle,
  rod,
  ruled,
  sideways,
  upright,
  wireOf,
  type Piece,
} from './shapes';

/** Parts that hold or cover something. */
export const HOLDERS: HandMade = {
  'Lid of the box': (hand, n) => {
    const { thick, lip } = { thick: n.thick!, lip: n.lip! };
    const [l, b] = [n.long! - 2 * n.inset!, n.broad! - 2 * n.inset!];
    let part = hand.checked(hand.plate(n.long!, n.broad!, thick, n.corner!));
    part = hand.checked(hand.fuse(part, hand.box(l, b, lip, thick)));
    const inside = hand.box(l - 2 * n.lipThick!, b - 2 * n.lipThick!, lip + 1, thick);
    part = hand.checked(hand.cut(part, inside));
    const [x, y] = [l / 2 - n.lipThick! - n.edge!, b / 2 - n.lipThick! - n.edge!];
    const hole = (side: number, end: number) => hand.cylinder(side * x, end * y, -1, n.hole! / 2, thick + 2);
    part = hand.checked(hand.cut(part, hole(1, 1)));
    part = hand.checked(hand.cut(part, hole(-1, 1), hole(1, -1), hole(-1, -1)));
    const top = thick + n.knobHigh!;
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, thick, n.knob! / 2, n.knobHigh!)));
    part = hand.checked(hand.round(part, hand.circlesAt(part, [0, 0], n.knob! / 2, [top]), n.ease!));
    const rim = hand.edges(
      part,
      (radius, heights) => heights.every((z) => near(z, 0)) && !near(radius ?? 0, n.hole! / 2),
    );
    part = hand.checked(hand.ease(part, rim, n.ease!));
    const deep = n.knobHigh! / 2;
    return hand.finish(hand.cut(part, hand.cylinder(0, 0, top - deep, n.dimple! / 2, deep + 1)));
  },
  'Tool holder': (hand, n) => {
    const { thick, apart } = { thick: n.thick!, apart: n.apart! };
    const [y, back] = [-n.broad! / 6, n.broad! / 2];
    const hole = (index: number) =>
      hand.cylinder((index - (n.holeCount! - 1) / 2) * apart, y, -1, n.hole! / 2, thick + 2);
    let part = hand.checked(hand.box(n.long!, n.broad!, thick));
    part = hand.checked(hand.cut(part, hole(0)));
    const others = Array.from({ length: n.holeCount! - 1 }, (_, index) => hole(index + 1));
    part = hand.checked(hand.cut(part, ...others));
    const top = thick + n.back!;
    const wall = block(hand, [-n.long! / 2, back - n.backThick!, thick], [n.long! / 2, back, top]);
    part = hand.checked(hand.fuse(part, wall));
    const [tip, thin] = [thick + n.tongue!, n.tongueThick!];
    const catchAt = tip - 2 * n.barb!;
    const section: Piece[] = [
      [y, thick],
      [y + thin, thick],
      [y + thin, catchAt],
      [y + thin + n.barb!, catchAt],
      [y + thin, tip],
      [y, tip],
    ];
    const tongue = (x: number) =>
      prism(hand, section, sideways(x - n.tongueBroad! / 2), [n.tongueBroad!, 0, 0]);
    part = hand.checked(hand.fuse(part, tongue(0)));
    part = hand.checked(hand.fuse(part, tongue(apart), tongue(-apart)));
    for (const side of [1, -1]) {
      const from = [side * n.screwAt!, back + 1, thick + n.back! / 2] as const;
      part = hand.checked(hand.cut(part, hand.bar(from, [0, -1, 0], n.screw! / 2, n.backThick! + 1)));
    }
    const edge = hand.edgesAlong(part, (points) =>
      points.every(([, at, z]) => near(at, back) && near(z, top)),
    );
    return hand.finish(hand.ease(part, edge, 0.6));
  },
  'Drawer handle': (hand, n) => {
    const [x, rise, bend] = [n.apart! / 2, n.rise!, n.bend!];
    const off = bend * (1 - Math.SQRT1_2);
    const line: Piece[] = [
      [-x, 0],
      [-x, rise - bend],
      { via: [-x + off, rise - off], to: [-x + bend, rise] },
      [x - bend, rise],
      { via: [x - off, rise - off], to: [x, rise - bend] },
      [x, 0],
    ];
    let part = hand.checked(rod(hand, line, upright(0), n.rod! / 2));
    for (const side of [-1, 1]) {
      part = hand.checked(hand.fuse(part, hand.cylinder(side * x, 0, 0, n.foot! / 2, n.footThick!)));
    }
    for (const side of [-1, 1]) {
      const screw = hand.cylinder(side * x, 0, -1, n.screw! / 2, n.screwDeep! + 1);
      part = hand.checked(hand.cut(part, screw));
    }
    const both = (radius: number, z: number) =>
      [-x, x].flatMap((at) => hand.circlesAt(part, [at, 0], radius, [z]));
    part = hand.checked(hand.ease(part, both(n.foot! / 2, n.footThick!), n.ease!));
    part = hand.checked(hand.ease(part, both(n.screw! / 2, 0), n.ease! / 2));
    return hand.finish(hand.round(part, both(n.foot! / 2, 0), n.ease! / 2));
  },
  'Tapered foot': (hand, n) => {
    const high = n.high!;
    const off = 2 * high * Math.tan(n.leanAngle!);
    const [bottom, top] = [
      wireOf(hand, rectangle(n.long!, n.broad!), level(0)),
      wireOf(hand, rectangle(n.long! - off, n.broad! - off), level(high)),
    ];
    let part = hand.checked(ruled(hand, [bottom, top]));
    const head = { across: n.seat!, deep: n.seatDeep! };
    part = hand.checked(hand.cut(part, headedHole(hand, [0, 0], high, -1, n.hole!, head)));
    const nut = prism(hand, hexagon(n.nut!), level(-1), [0, 0, n.nutDeep! + 1]);
    part = hand.checked(hand.cut(part, nut));
    for (const side of [1, -1]) {
      const groove = rectangle(n.groove!, n.broad! / 2, (side * n.long!) / 3);
      part = hand.checked(hand.cut(part, prism(hand, groove, level(-1), [0, 0, n.grooveDeep! + 1])));
    }
    const pad = hand.cylinder(0, n.broad! / 3, high, n.groove! / 2, high / 4);
    part = hand.checked(hand.fuse(part, pad));
    for (const side of [1, -1]) {
      const vent = hand.cylinder(0, (side * n.broad!) / 3, -1, n.groove! / 4, high / 4 + 1);
      part = hand.checked(hand.cut(part, vent));
    }
    return hand.finish(hand.ease(part, hand.circlesAt(part, [0, 0], n.seat! / 2, [high]), 0.3));
  },
};
