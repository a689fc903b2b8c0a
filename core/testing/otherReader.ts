/** A move as a reader reads it that shares nothing with the one of the app: by small steps along it. */
export interface OtherMove {
  command: 'G0' | 'G1' | 'G2' | 'G3';
  kind: string;
  /** x and y along it, its two ends among them, mm. */
  places: [number, number][];
  lengthMm: number;
  filamentMm: number;
}

/** Reads what the app writes: relative filament, mm, places that are reported from the corner of the bed. */
export function readByAnother(text: string): OtherMove[] {
  const moves: OtherMove[] = [];
  let [x, y, kind] = [0, 0, 'none'];
  for (const line of text.split('\n')) {
    kind = /^; lay (\w+)/.exec(line)?.[1] ?? kind;
    const match = /^(G[0-3]) (.*)$/.exec(line);
    if (!match) continue;
    const word = (letter: string) => {
      const found = new RegExp(`(?:^| )${letter}(-?[0-9.]+)`).exec(match[2]!);
      return found ? Number(found[1]) : undefined;
    };
    const [toX, toY] = [word('X') ?? x, word('Y') ?? y];
    const command = match[1] as OtherMove['command'];
    const places: [number, number][] = [[x, y]];
    let lengthMm = Math.hypot(toX - x, toY - y);
    if (command === 'G2' || command === 'G3') {
      const [cx, cy] = [x + (word('I') ?? 0), y + (word('J') ?? 0)];
      const radius = Math.hypot(x - cx, y - cy);
      const begin = Math.atan2(y - cy, x - cx);
      let end = Math.atan2(toY - cy, toX - cx);
      if (command === 'G3') while (end <= begin) end += 2 * Math.PI;
      else while (end >= begin) end -= 2 * Math.PI;
      lengthMm = radius * Math.abs(end - begin);
      const steps = Math.ceil(Math.abs(end - begin) / 0.02);
      for (let step = 1; step < steps; step += 1) {
        const angle = begin + ((end - begin) * step) / steps;
        places.push([cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)]);
      }
    }
    places.push([toX, toY]);
    moves.push({
      command,
      kind: command === 'G0' ? 'travel' : kind,
      places,
      lengthMm,
      filamentMm: word('E') ?? 0,
    });
    [x, y] = [toX, toY];
  }
  return moves;
}
