import type { LayerWarning, PathKind, Sliced } from '@core/making/slice';
import { SAME_MM } from '@core/foundations/tolerance';

/** What happens in resin alone. */
type InResin = 'resin.tooThin' | 'resin.closed' | 'resin.cup';

/** Something that changes at a layer. */
export interface Happening {
  /** From 0. */
  layer: number;
  what: 'bridge' | 'supportBegins' | 'supportEnds' | 'closes' | LayerWarning['code'] | InResin;
}

/** What begins or ends as the layers go up, for marks along the height. */
export function happeningsIn({ layers, warnings }: Pick<Sliced, 'layers' | 'warnings'>): Happening[] {
  const found: Happening[] = [];
  const kindsOf = (layer: number) => new Set<PathKind>(layers[layer]?.paths.map(({ kind }) => kind));
  let before = new Set<PathKind>();
  for (const [layer] of layers.entries()) {
    const now = kindsOf(layer);
    const holdsUp = (kinds: Set<PathKind>) => kinds.has('support') || kinds.has('supportFace');
    if (now.has('bridge') && !before.has('bridge')) found.push({ layer, what: 'bridge' });
    if (holdsUp(now) && !holdsUp(before)) found.push({ layer, what: 'supportBegins' });
    if (!holdsUp(now) && holdsUp(before)) found.push({ layer, what: 'supportEnds' });
    if (before.has('fill') && !now.has('fill') && now.has('skin')) found.push({ layer, what: 'closes' });
    before = now;
  }
  for (const warning of warnings) {
    if (!('at' in warning)) continue;
    // What is unsupported is reported by the underside of its layer, all else by its upper side.
    const isUnder = warning.code === 'slice.inAir' || warning.code === 'slice.overhang';
    const z = warning.at[2] + (isUnder ? SAME_MM : -SAME_MM);
    const layer = layers.findIndex(({ topMm }) => topMm > z);
    if (layer >= 0) found.push({ layer, what: warning.code });
  }
  return found.sort((a, b) => a.layer - b.layer);
}
