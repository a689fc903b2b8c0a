export { cornerOfArc, linesAtCorner, withRoundedCorner, withSharpCorner } from './corner';
export { spanOf, withMirrored, withRepeatedRound } from './copies';
export {
  withCurve,
  withDimension,
  withNames,
  withoutCurves,
  withoutRelations,
  withPoint,
  withRelation,
  type NewDimension,
  type NewRelation,
} from './names';
export { drawnFromPoints } from './fromPoints';
export { looksOf, offersFor, type DimensionOffer, type Offers } from './offers';
export { drawnFromCurves, mayBeScaled, scaledBy, withPlaces } from './placed';
export { turnedOver } from './turned';
