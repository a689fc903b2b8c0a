import type { ByHand } from './byHand';

/** Numbers of a step by name, mm. */
export type Numbers = Readonly<Record<string, Readonly<Record<string, number>>>>;

/** The first spare of each demo repair as one would write it straight against the kernel. They give its volume, mm³. */
export const DEMO_BY_HAND: Readonly<Record<string, (hand: ByHand, numbers: Numbers) => number>> = {
  'rack-wheel': (hand, { disc, groove, bore, mouths, rims }) => {
    const [radius, width] = [disc!.diameter! / 2, disc!.width!];
    const whole = hand.checked(hand.cylinder(0, 0, 0, radius, width));
    const low = (width - groove!.width!) / 2;
    const ring = hand.cut(
      hand.cylinder(0, 0, low, radius * 1.25, groove!.width!),
      hand.cylinder(0, 0, low, radius - groove!.depth!, groove!.width!),
    );
    const grooved = hand.checked(hand.cut(whole, ring));
    const hole = bore!.diameter! / 2;
    const bored = hand.checked(hand.cut(grooved, hand.cylinder(0, 0, -1, hole, width + 2)));
    const eased = hand.checked(hand.ease(bored, hand.circles(bored, hole, [0, width]), mouths!.size!));
    return hand.finish(hand.ease(eased, hand.circles(eased, radius, [0, width]), rims!.size!));
  },
  'cabin-window-stay': (hand, { bar, 'pivot-hole': pivot, 'pivot-mouths': mouths }) => {
    const height = bar!.thickness!;
    const plate = hand.checked(hand.plate(bar!.length!, bar!.breadth!, height, bar!.cornerRadius!));
    const hole = pivot!.diameter! / 2;
    const bored = hand.checked(hand.cut(plate, hand.cylinder(pivot!.x!, pivot!.y!, -1, hole, height + 2)));
    return hand.finish(hand.ease(bored, hand.circles(bored, hole, [0, height]), mouths!.size!));
  },
  'clamp-lamp-lever': (hand, { raise }) => {
    const at = (point: number) =>
      [raise![`points.${point - 1}.x`]!, raise![`points.${point - 1}.y`]!] as const;
    const arm = hand.raised(
      [
        { from: at(1), via: at(2) },
        { from: at(3) },
        { from: at(4) },
        { from: at(10), via: at(12) },
        { from: at(11) },
        { from: at(6), via: at(7) },
        { from: at(8) },
      ],
      raise!.height!,
    );
    const pin = hand.cylinder(0, 0, -1, raise!['dimensions.0.value']! / 2, raise!.height! + 2);
    return hand.finish(hand.checked(hand.cut(hand.checked(arm), pin)));
  },
  'easel-foot': (hand, { stump, soft }) => {
    const [radius, width] = [stump!.diameter! / 2, stump!.width!];
    const whole = hand.checked(hand.cylinder(0, 0, 0, radius, width));
    return hand.finish(hand.round(whole, hand.circles(whole, radius, [0, width]), soft!.size!));
  },
  'locker-hinge-plate': (hand, { plate, 'hole-1': first, others, rims }) => {
    const height = plate!.thickness!;
    const whole = hand.checked(hand.plate(plate!.length!, plate!.breadth!, height, plate!.cornerRadius!));
    const radius = first!.diameter! / 2;
    const hole = (x: number, y: number) => hand.cylinder(x, y, -1, radius, height + 2);
    const one = hand.checked(hand.cut(whole, hole(first!.x!, first!.y!)));
    const copies = [2, 3, 4].map((label) => hole(others![`x${label}`]!, others![`y${label}`]!));
    // The first hole stands at a point that is rounded, so its copy there is cut once more.
    const again = hole(others!.x1!, others!.y1!);
    const isApart = Math.hypot(first!.x! - others!.x1!, first!.y! - others!.y1!) > 0.005;
    const all = hand.checked(hand.cut(one, ...(isApart ? [again] : []), ...copies));
    const outer = hand.edges(
      all,
      (found, [a, b]) =>
        Math.abs(a - b) < 1e-6 && (found === null || Math.abs(found - plate!.cornerRadius!) < 1e-6),
    );
    return hand.finish(hand.ease(all, outer, rims!.size!));
  },
  'loom-spool-holder': (hand, { disc, hub, hole, edge }) => {
    const [radius, width] = [disc!.diameter! / 2, disc!.width!];
    const whole = hand.checked(hand.cylinder(0, 0, 0, radius, width));
    const peg = hand.cylinder(0, 0, width, hub!.diameter! / 2, hub!.height!);
    const hubbed = hand.checked(hand.fuse(whole, peg));
    const through = hand.cylinder(0, 0, -1, hole!.diameter! / 2, width + hub!.height! + 2);
    const bored = hand.checked(hand.cut(hubbed, through));
    return hand.finish(hand.round(bored, hand.circles(bored, radius, [0, width]), edge!.size!));
  },
};
