import type { HandMade } from './byHand';
import { ball, headedHole, oval, raised, round, ruled, spun } from './shapes';

/** Tubes, spools, levers and cups. */
export const TUBES: HandMade = {
  'Hose reducer': (hand, n) => {
    const [first, second] = [n.wideLong!, n.wideLong! + n.slope!];
    const top = second + n.narrowLong!;
    const outside = spun(hand, [
      [0, 0],
      [n.wide! / 2, 0],
      [n.wide! / 2, first],
      [n.narrow! / 2, second],
      [n.narrow! / 2, top],
      [0, top],
    ]);
    const inside = spun(hand, [
      [0, -1],
      [n.wideBore! / 2, -1],
      [n.wideBore! / 2, first],
      [n.narrowBore! / 2, second],
      [n.narrowBore! / 2, top + 1],
      [0, top + 1],
    ]);
    let part = hand.checked(hand.cut(hand.checked(outside), inside));
    for (const index of [1, 2, 3]) {
      const [r, z] = [n.narrow! / 2, top - index * (n.barbLong! + 1)];
      const barb = spun(hand, [
        [r - 0.5, z],
        [r + n.barb!, z],
        [r, z + n.barbLong!],
        [r - 0.5, z + n.barbLong!],
      ]);
      part = hand.checked(hand.fuse(part, barb));
    }
    const [collar, bore] = [n.collar! / 2, n.wideBore! / 2];
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, 0, collar, n.collarLong!)));
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, bore, n.collarLong! + 1)));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], collar, [0, n.collarLong!]), 0.5));
    return hand.finish(hand.ease(part, hand.circlesAt(part, [0, 0], bore, [0]), 0.4));
  },
  'Belt pulley': (hand, n) => {
    const [radius, broad] = [n.across! / 2, n.broad!];
    const top = broad + n.hubLong!;
    let part = hand.checked(hand.cylinder(0, 0, 0, radius, broad));
    const [deep, half, middle] = [radius - n.grooveDeep!, n.grooveTop! / 2, broad / 2];
    const vee = spun(hand, [
      [deep, middle - 1],
      [radius, middle - half],
      [radius + 3, middle - half],
      [radius + 3, middle + half],
      [radius, middle + half],
      [deep, middle + 1],
    ]);
    part = hand.checked(hand.cut(part, vee));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, broad, n.hub! / 2, n.hubLong!)));
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, n.bore! / 2, top + 2)));
    const holes = round(n.holeCount!, (n.hub! / 2 + radius - n.grooveDeep!) / 2).map(([x, y]) =>
      hand.cylinder(x, y, -1, n.hole! / 2, broad + 2),
    );
    part = hand.checked(hand.cut(part, holes[0]!));
    part = hand.checked(hand.cut(part, ...holes.slice(1)));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], radius, [0, broad]), n.ease!));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n.bore! / 2, [0, top]), n.ease!));
    return hand.finish(hand.round(part, hand.circlesAt(part, [0, 0], n.hub! / 2, [top]), n.ease!));
  },
  'Cord spool': (hand, n) => {
    const top = 2 * n.flangeThick! + n.coreHigh!;
    let part = hand.checked(hand.cylinder(0, 0, 0, n.flange! / 2, n.flangeThick!));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, n.flangeThick!, n.core! / 2, n.coreHigh!)));
    const upper = hand.cylinder(0, 0, n.flangeThick! + n.coreHigh!, n.flange! / 2, n.flangeThick!);
    part = hand.checked(hand.fuse(part, upper));
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, n.bore! / 2, top + 2)));
    const windows = Array.from({ length: n.windowCount! }, (_, index) => {
      const turn = (2 * Math.PI * index) / n.windowCount!;
      const [x, y] = [Math.cos(turn), Math.sin(turn)].map((way) => way * n.windowAt!) as [number, number];
      return hand.cylinder(x, y, -1, n.window! / 2, top + 2);
    });
    part = hand.checked(hand.cut(part, windows[0]!));
    part = hand.checked(hand.cut(part, ...windows.slice(1)));
    const deep = top - n.flangeThick!;
    part = hand.checked(hand.cut(part, hand.cylinder(0, -n.flange! / 2, deep, n.notch! / 2, top)));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n.bore! / 2, [0, top]), n.ease!));
    return hand.finish(hand.round(part, hand.circlesAt(part, [0, 0], n.flange! / 2, [0]), n.ease!));
  },
  'Ball lever': (hand, n) => {
    const { footThick, coneHigh, rodLong } = {
      footThick: n.footThick!,
      coneHigh: n.coneHigh!,
      rodLong: n.rodLong!,
    };
    let part = hand.checked(hand.cylinder(0, 0, 0, n.foot! / 2, footThick));
    const shoulder = footThick + coneHigh;
    const cone = spun(hand, [
      [0, footThick],
      [n.cone! / 2, footThick],
      [n.rod! / 2, shoulder],
      [0, shoulder],
    ]);
    part = hand.checked(hand.fuse(part, cone));
    part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, shoulder, n.rod! / 2, rodLong)));
    const middle = shoulder + rodLong;
    part = hand.checked(hand.fuse(part, ball(hand, [0, 0, middle], n.ball! / 2)));
    const flat = middle + n.ball! / 2 - n.ball! / 8;
    part = hand.checked(hand.cut(part, hand.box(40, 40, n.ball!, flat)));
    const screws = round(n.screwCount!, n.screwAt!).map(([x, y]) =>
      hand.cylinder(x, y, -1, n.screw! / 2, footThick + 2),
    );
    part = hand.checked(hand.cut(part, screws[0]!));
    part = hand.checked(hand.cut(part, ...screws.slice(1)));
    // From below: as from above, upside down.
    const head = { across: n.rod! + 1, deep: 'sunk' as const };
    const under = hand.upsideDown(headedHole(hand, [0, 0], 0, -footThick / 2, n.rod!, head));
    return hand.finish(hand.cut(part, under));
  },
  'Oval cup': (hand, n) => {
    const { high, wall, floor } = { high: n.high!, wall: n.wall!, floor: n.floor! };
    const cup = ruled(hand, [oval(hand, 0, n.long!, n.broad!), oval(hand, high, n.topLong!, n.topBroad!)]);
    const room = ruled(hand, [
      oval(hand, floor, n.long! - 2 * wall, n.broad! - 2 * wall),
      oval(hand, high + 1, n.topLong! - 2 * wall, n.topBroad! - 2 * wall),
    ]);
    let part = hand.checked(hand.cut(hand.checked(cup), room));
    const [l, b] = [n.long! + 2 * n.bandThick!, n.broad! + 2 * n.bandThick!];
    part = hand.checked(hand.fuse(part, raised(hand, oval(hand, 0, l, b), floor / 2)));
    for (const at of [0, n.long! / 4, -n.long! / 4]) {
      part = hand.checked(hand.cut(part, hand.cylinder(at, 0, -1, n.drain! / 2, floor + 1)));
    }
    const stud = [-n.long! / 8, 0] as const;
    const tip = floor + n.bandThick!;
    part = hand.checked(hand.fuse(part, hand.cylinder(...stud, floor, n.bandHigh! / 2, n.bandThick!)));
    return hand.finish(hand.round(part, hand.circlesAt(part, stud, n.bandHigh! / 2, [tip]), 0.5));
  },
};
