export { goesOnFrom, withArcAbout, withTangentArc } from './arcs';
export { areaAt, areasOf, type Area, type DrawnAreas } from './areas/areas';
export { faultOfAreas, withAreas, type AreasFault } from './areas/withAreas';
export { cornerCutBy, linesAtCorner, withEasedCorner, withRoundedCorner, withSharpCorner } from './corner';
export { spanOf, withMirrored, withRepeatedRound } from './copies';
export { withExtended, withSplit, withTrimmed, type CutFault, type CutOutline } from './cutCurves';
export {
  withCurve,
  withDimension,
  withDimensionAs,
  withNames,
  withoutCurves,
  withoutRelations,
  withPoint,
  withRelation,
  type NewDimension,
  type NewRelation,
} from './names';
export { drawnFromHull } from './fromHull';
export { drawnFromPoints } from './fromPoints';
export { followingOf, followsPart, letGo, withFollowing, withSeenPlaces } from './follows';
export { looksOf, offersFor, type DimensionOffer, type Offers } from './offers';
export { drawnFromCurves, mayBeScaled, scaledBy, withPlaces } from './placed';
export { problemIn, type DrawnProblem } from './problems';
export { LEAST_SIDES, MOST_SIDES, withPolygon, withRectangle, withSlot } from './ready';
export { turnedOver } from './turned';
export { withWrapped } from './wrapped';
