import { thinnestWall } from '@core/checking/inspect';
import { ringMesh, slowFirstHit } from '@core/testing/slowRays';

import { figure, timePair, type Figure } from './figure';

/** The thinnest wall of 100,000 triangles, its tree of boxes made anew each time, against a look at every triangle. */
export function thinWallFigures(): Figure[] {
  const mesh = () => ringMesh(250, 200, 40, 8);
  const [quick, slow] = timePair(
    3,
    1,
    () => void thinnestWall(mesh()),
    () => void thinnestWall(mesh(), slowFirstHit),
  );
  return [figure('thinnest wall of 100,000 triangles', 'ms', quick, slow, { atMost: 0.15 })];
}
