import type { HandMade } from './byHand';

/** Recipes of 20 to 40 steps. */
export const LONGER: HandMade = {
  'Rack for bits': (hand, n) => {
    const whole = hand.checked(hand.box(n.long!, n.broad!, n.high!));
    let part = hand.checked(hand.round(whole, hand.edges(whole, isUpright), n.corner!));
    for (const [index, bit] of ['bit', 'second', 'third', 'fourth', 'fifth', 'sixth'].entries()) {
      for (const row of [-1, 1]) {
        const [x, y] = [(index - 2.5) * n.apart!, (row * n.rows!) / 2];
        const low = n.high! - n.deep!;
        part = hand.checked(hand.cut(part, hand.cylinder(x, y, low, n[bit]! / 2, n.deep! + 1)));
        const mouth = hand.circlesAt(part, [x, y], n[bit]! / 2, [n.high!]);
        part = hand.checked(hand.ease(part, mouth, n.ease!));
      }
    }
    for (const side of [-1, 1]) {
      const screw = hand.cylinder(side * n.at!, 0, -1, n.screw! / 2, n.high! + 2);
      part = hand.checked(hand.cut(part, screw));
    }
    return hand.finish(hand.cut(part, hand.box(n.pocketLong!, n.pocketBroad!, n.pocketDeep! + 1, -1)));
  },
  'Stepped arbor': (hand, n) => {
    let part = hand.checked(hand.cylinder(0, 0, 0, n.flange! / 2, n.thick!));
    const low = (n.thick! - n.grooveWidth!) / 2;
    const ring = hand.cut(
      hand.cylinder(0, 0, low, n.flange!, n.grooveWidth!),
      hand.cylinder(0, 0, low, n.flange! / 2 - n.grooveDeep!, n.grooveWidth!),
    );
    part = hand.checked(hand.cut(part, ring));
    let top = n.thick!;
    for (const name of SHOULDERS) {
      part = hand.checked(hand.fuse(part, hand.cylinder(0, 0, top, n[name]! / 2, n.high!)));
      top += n.high!;
      part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n[name]! / 2, [top]), n.ease!));
    }
    part = hand.checked(hand.cut(part, hand.cylinder(0, 0, -1, n.bore! / 2, top + 2)));
    part = hand.checked(hand.ease(part, hand.circlesAt(part, [0, 0], n.bore! / 2, [0, top]), n.ease!));
    const bolts = Array.from({ length: n.boltCount! }, (_, index) => {
      const turn = (2 * Math.PI * index) / n.boltCount!;
      const [x, y] = [Math.cos(turn), Math.sin(turn)].map((way) => (way * n.bolts!) / 2) as [number, number];
      return hand.cylinder(x, y, -1, n.bolt! / 2, n.thick! + 2);
    });
    part = hand.checked(hand.cut(part, bolts[0]!));
    return hand.finish(hand.cut(part, ...bolts.slice(1)));
  },
};

const SHOULDERS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'];

const isUpright = (radius: number | null, [low, high]: readonly [number, number]) =>
  radius === null && Math.abs(low - high) > 1e-6;
