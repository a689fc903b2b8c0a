export { Id, NAME_LIMIT, MODEL_LIMIT_MM, name as Name } from './ids';
export { belowOf } from './holeHead';
export { effectOf, placeOf } from './standing';
export { EdgePick, FacePick, FromStep, Ground, isThere, MeasuredFrom, Side, type Place } from './place';
export { EdgeRule } from './edgeRule';
export { Body, BodyRole, Step, type StepKind, type StepOf } from './recipe';
export { repeatedBy } from './workSteps';
export { LETTERS_LIMIT } from './formSteps';
export { Effect, takesAway } from './stepBase';
export { bodiesUsedBy, isValue, valuesIn, withValues } from './stepValues';
export { DrawnCurve, OutlineShape, type OutlineShapeName } from './outline';
export { TakenNumber, type PlainBounds, type PlainNumber, type PlainQuantity } from './plainNumber';
export { plainFieldAt, plainFieldsOf, type PlainField } from './plainFields';
export { isTaken, type SettledOutline, type SettledStep, type SettledStepOf } from './settled';
export { Value, fitValue, numberValue, sizeValue } from './value';
export { Derivation, Jaw, Reading, Size, SizeKind, Source, Taken } from './size';
export { DatumEdge, Layout, LayoutDistance, LayoutEnd, LayoutPoint } from './layout';
export { Chain, ChainLink } from './chain';
export { Fit, FitFeature } from './fit';
export { Photo, PhotoFile, PhotoTag } from './photo';
export {
  BENCH_CALIPER_ID,
  Correction,
  DEFAULT_MACHINE_ID,
  FeatureKind,
  FitClass,
  FitTable,
  Instrument,
  Machine,
  MaterialFamily,
  Process,
  WORKSHOP_LIST_OF,
  Workshop,
  WorkshopChange,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from './workshop';
export { applyWorkshopChange, withWorkshopRow, workshopRowBefore } from './changeWorkshop';
export {
  CHANGE_LIMIT_BYTES,
  JSON_DEPTH_LIMIT,
  JSON_VALUES_LIMIT,
  LIST_LIMITS,
  PHOTOS_LIMIT_BYTES,
  REPAIR_FILE_LIMIT_BYTES,
  REPAIR_LIMIT_BYTES,
  roomForPictures,
} from './limits';
export { LIST_OF, ROW_OF_LIST, type ListedRow, type ListName } from './rowLists';
export { brokenInState, type BrokenRule } from './rules';
export { picturesOf } from './pictures';
export { presentRow } from './oldFiles';
export { FrozenFigures, Repair, RepairHead, RepairState, Revision } from './repair';
export { Change, applyChange, inverseOf, rowBefore, withRow, type RowKind, type RowOf } from './change';
export {
  ChangeReply,
  CreatedReply,
  ListQuery,
  NewRepair,
  Picture,
  Refusal,
  RepairLine,
  RepairList,
  Stage,
} from './api';
export {
  REPAIR_FILE_FORMAT,
  REPAIR_FILE_VERSION,
  RepairFile,
  faultOfIssue,
  parseRepairFile,
  pathText,
  readRepairFile,
  writeRepairFile,
  type RepairFileContent,
} from './repairFile';
export { copyRepair, plainOf, withFreshIds } from './copyRepair';
export { newSize } from './newSize';
export { emptyRepair } from './newRepair';
export { letterAt, nextLetter } from './letters';
