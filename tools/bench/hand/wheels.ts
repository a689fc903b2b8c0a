import type { HandMade } from './byHand';
import { emptied, hexagon, level, near, prism, round } from './shapes';

/** Wheels, caps and plugs. */
export const WHEELS: HandMade = {
  'Basket wheel': (hand, n) => {
    const [radius, width] = [n.rim! / 2, n.width!];
    const top = width + n.hubHeight!;
    let part = hand.checked(hand.cylinder(0, 0, 0, radius, width));
    const low = (width - n.grooveWidth!) / 2;
    const ring = hand.cut(
      hand.cylinder(0, 0, low, 2 * radius, n.grooveWidth!),
      hand.cylinder(0, 0, low, radius - n.grooveDepth!, n.grooveWidth!),
    );
    part = hand.checked(hand.cut(part, ring));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, width, n.hub! / 2, n.hubHeight!)));
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, n.bore! / 2, top + 2)));
    const spokes = round(n.spokeCount!, n.spokesAt!).map(([x, y]) =>
      hand.cylinder(x, y, -1, n.spoke! / 2, width + 2),
    );
    part = hand.checked(hand.cut(part, spokes[0]!));
    part = hand.checked(hand.cut(part, ...spokes.slice(1)));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], radius, [0, width]), n.ease!));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n.bore! / 2, [0, top]), n.ease! / 2));
    return hand.finish(hand.round(part, hand.circlesAt(part, [0, 0], n.hub! / 2, [top]), n.ease!));
  },
  'Cap over a foot': (hand, n) => {
    const { high, wall } = { high: n.high!, wall: n.wall! };
    const can = hand.checked(hand.cylinder(0, 0, 0, n.across! / 2, high));
    let part = hand.checked(emptied(hand, can, wall, 0));
    part = hand.checked(hand.round(part, hand.circlesAt(part, [0, 0], n.across! / 2, [high]), n.soft!));
    const vents = round(n.ventCount!, n.across! / 4).map(([x, y]) =>
      hand.cylinder(x, y, -1, n.vent! / 2, high + 2),
    );
    part = hand.checked(hand.cut(part, vents[0]!));
    part = hand.checked(hand.cut(part, ...vents.slice(1)));
    const foot = hand.cylinder(0, 0, high - wall - n.footHigh!, n.foot! / 2, n.footHigh!);
    part = hand.checked(hand.fuse(part, foot));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, high, n.rib! / 2, n.ribHigh!)));
    const tip = hand.circlesAt(part, [0, 0], n.rib! / 2, [high + n.ribHigh!]);
    return hand.finish(hand.round(part, tip, n.rib! / 4));
  },
  'Threaded plug': (hand, n) => {
    const [head, collar] = [n.headHigh!, n.headHigh! + n.collarHigh!];
    const top = collar + n.length!;
    let part = hand.checked(prism(hand, hexagon(n.flats!), level(0), [0, 0, head]));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, head, n.collar! / 2, n.collarHigh!)));
    // M16 with a play of 0.1, drawn only: a plain rod.
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, collar, (16 - 0.2) / 2, n.length!)));
    const bore = hand.cylinder(0, 0, top - n.boreDeep!, n.bore! / 2, n.boreDeep! + 1);
    part = hand.checked(hand.cut(part, bore));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n.bore! / 2, [top]), n.ease!));
    const dimple = hand.cylinder(0, 0, -1, n.dimple! / 2, n.dimpleDeep! + 1);
    part = hand.checked(hand.cut(part, dimple));
    const corners = hand.edges(
      part,
      (radius, [a, b]) => radius === null && near(Math.min(a, b), 0) && near(Math.max(a, b), head),
    );
    // Seams of round walls are upright too, but not in the corners.
    part = hand.checked(hand.round(part, corners, n.ease!));
    const rim = hand.circlesAt(part, [0, 0], n.collar! / 2, [collar]);
    return hand.finish(hand.ease(part, rim, n.ease!));
  },
};
