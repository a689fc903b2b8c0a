import { useEffect, useRef } from 'react';

import { SAME_MM } from '@core/foundations/tolerance';
import { followingOf, withFollowing } from '@core/shaping/drawnEdits';
import { sentenceOf } from '@core/reporting/wording';
import type { BehindOutline, SeenPiece } from '@core/shaping/part';

import { runNear } from './boardView';
import type { Drawing } from './useDrawing';
import { drawable, isPlacedByEdge } from './useShiftedBehind';

type Place = readonly [x: number, y: number];

/** Of what lies on top of one another as it is seen, what is nearest to the drawing's plane is meant; within this share of the reach. */
const SAME_SHARE = 0.15;
/** A corner seen from its end is meant within this share of the reach, and the edges that meet there farther off. */
const CORNER_SHARE = 0.5;

/** Lets a drawing follow what lies at a place, and says what came of it: at once, or when it is known what is there. */
export type Follow = (at: Place, reachMm: number, say: (words: string) => void) => void;

/** Lets a drawing follow what is tapped of the part, or of another body. */
export function useFollowing(
  drawing: Drawing | null,
  behind: BehindOutline | null,
  seen: readonly SeenPiece[] | null,
  otherId: string | null,
): Follow {
  const waiting = useRef<Parameters<Follow> | null>(null);
  const follow: Follow = (at, reachMm, say) => {
    if (!drawing || !behind) return say('There is nothing behind the drawing to follow.');
    if (isPlacedByEdge(behind)) return say(sentenceOf({ code: 'outline.followsFlush' }));
    if (!seen) {
      waiting.current = [at, reachMm, say];
      return say('Looking for its edges …');
    }
    const piece = pieceNear(seen, at, reachMm);
    if (seen.length === 0) return say('Its edges could not be found. Stop, and take the tool again.');
    if (!piece) return say('No edge is there.');
    const of = otherId === null ? piece.of : { ...piece.of, body: otherId };
    if (followingOf(drawing.outline, of)) return say('That is followed already.');
    const [next] = withFollowing(drawing.outline, { ...piece, of });
    const words = FOLLOWED_WORDS[piece.curve.kind === 'point' ? 'point' : 'cut' in of ? 'cut' : 'edge'];
    drawing.keep(next, words);
    return say(words);
  };
  useEffect(() => {
    if (!seen || !waiting.current) return;
    const tapped = waiting.current;
    waiting.current = null;
    follow(...tapped);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once it is known what is there
  }, [seen]);
  return follow;
}

const FOLLOWED_WORDS = {
  point: 'A corner is followed.',
  edge: 'An edge is followed.',
  cut: 'A cut through the part is followed.',
} as const;

/** What is seen at a place; null where nothing is within reach, mm. */
export function pieceNear(seen: readonly SeenPiece[], at: Place, reachMm: number): SeenPiece | null {
  const near = seen.flatMap((piece) => {
    const { curve } = piece;
    const drawn = drawable(curve);
    const off =
      curve.kind === 'point'
        ? Math.hypot(curve.at[0] - at[0], curve.at[1] - at[1])
        : drawn
          ? runNear(at, drawn)
          : Infinity;
    return off <= reachMm ? [{ piece, off }] : [];
  });
  const nearest = Math.min(...near.map(({ off }) => off));
  // Of a typed place the nearest is meant.
  const cornerReach = Number.isFinite(reachMm) ? CORNER_SHARE * reachMm : nearest + SAME_MM;
  const corners = near.filter(({ piece, off }) => piece.curve.kind === 'point' && off <= cornerReach);
  const meant = corners.length > 0 ? corners : near.filter(({ piece }) => piece.curve.kind !== 'point');
  const least = Math.min(...meant.map(({ off }) => off));
  const within = Number.isFinite(reachMm) ? SAME_SHARE * reachMm : 0;
  const [first] = meant
    .filter(({ off }) => off <= least + within)
    .sort((a, b) => a.piece.offMm - b.piece.offMm);
  return first?.piece ?? null;
}
