import type { DrawnOutline } from '@core/foundations/fields';
import type { SolvedDrawing, StudiedDrawing } from '@core/shaping/drawn';

import type { BoardView } from './boardView';
import { DrawnCurves, DrawnPoints } from './DrawnCurves';

type Place = readonly [x: number, y: number];

export interface Picked {
  points: ReadonlySet<string>;
  curves: ReadonlySet<string>;
}

/** A drawing with its points: on the board, and larger in the lens. */
export function Drawn({
  view,
  outline,
  shown,
  studied,
  picked,
  wrong,
  arrows,
}: {
  view: BoardView;
  outline: DrawnOutline;
  shown: SolvedDrawing;
  studied: StudiedDrawing;
  picked: Picked;
  wrong: ReadonlySet<string>;
  arrows: boolean;
}) {
  return (
    <>
      <DrawnCurves curves={shown.curves} view={view} picked={picked.curves} wrong={wrong} />
      <DrawnPoints
        points={drawnPoints(outline, shown)}
        view={view}
        moves={studied.freedom.points}
        picked={picked.points}
        shownArrows={arrows}
      />
    </>
  );
}

/** Points that a hand has to do with: middles of arcs only say on which side these lie. */
export function drawnPoints(outline: DrawnOutline, { points }: SolvedDrawing): (readonly [string, Place])[] {
  const vias = new Set(outline.curves.flatMap((curve) => (curve.kind === 'arc' ? [curve.via] : [])));
  const others = new Set(
    outline.curves.flatMap((curve) =>
      curve.kind === 'line' || curve.kind === 'arc' ? [curve.from, curve.to] : [],
    ),
  );
  return [...points].filter(([id]) => !vias.has(id) || others.has(id));
}
