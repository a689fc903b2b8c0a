export { NextThing, type Lack } from './nextThing';
export {
  belowOf,
  DrawnCurve,
  Followed,
  EdgePick,
  EdgeRule,
  Effect,
  FacePick,
  fitValue,
  FromStep,
  Ground,
  Id,
  isTaken,
  isThere,
  MeasuredFrom,
  MODEL_LIMIT_MM,
  name as Name,
  NAME_LIMIT,
  numberValue,
  OutlineShape,
  Side,
  sizeValue,
  TakenNumber,
  takesAway,
  Value,
  type OutlineShapeName,
  type Place,
  type PlainBounds,
  type PlainNumber,
  type PlainQuantity,
  type SettledOutline,
} from '@core/foundations/fields';
export {
  canBeMirrored,
  canBeRepeated,
  edgesOfferedBy,
  effectOf,
  factsOf,
  factsOfKind,
  placeOf,
  Step,
  STEP_KINDS,
  stepTakesAway,
  type SettledStep,
  type SettledStepOf,
  type StepKind,
  type StepOf,
} from '@core/shaping/steps/data';
export type { OwnEdges, StepFacts, StepGroup } from '@core/shaping/steps/facts';
export { LETTERS_LIMIT } from '@core/shaping/steps/text/schema';
export { repeatedBy } from '@core/shaping/steps/pattern/schema';
export { Body, SideNames, USUAL_PRINT_SETUP, type PrintSetup } from './recipe';
export { bodiesUsedBy, isValue, valuesIn, withValues } from './stepValues';
export { plainFieldAt, plainFieldsOf, type PlainField } from './plainFields';
export { Derivation, Jaw, Reading, Size, SizeKind, Source, Taken } from './size';
export { DatumEdge, Layout, LayoutDistance, LayoutEnd, LayoutPoint } from './layout';
export { Chain, ChainLink } from './chain';
export { Fit } from './fit';
export { BedDirection, FitFeature } from './fitFeature';
export { Scan, ScanFile, ScanPlace } from './scan';
export { Photo, PhotoFile, PhotoTag, type PhotoMark } from './photo';
export {
  BENCH_CALIPER_ID,
  Correction,
  LearnedLine,
  DEFAULT_MACHINE_ID,
  FeatureKind,
  FitClass,
  FitTable,
  Instrument,
  Machine,
  MaterialFamily,
  Process,
} from './workshop';
export { Filament, LayerPrinter, LayerSet } from './layerRows';
export { Material } from './materialRow';
export { Resin, ResinPrinter, ResinSet } from './resinRows';
export {
  Workshop,
  WORKSHOP_ROW_KINDS,
  WORKSHOP_ROWS,
  WorkshopChange,
  workshopRows,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from './workshopRows';
export { applyWorkshopChange, withWorkshopRow, workshopRowBefore } from './changeWorkshop';
export {
  CHANGE_LIMIT_BYTES,
  JSON_DEPTH_LIMIT,
  JSON_VALUES_LIMIT,
  PHOTOS_LIMIT_BYTES,
  REPAIR_FILE_LIMIT_BYTES,
  REPAIR_LIMIT_BYTES,
  roomForPictures,
} from './limits';
export { laterLists, LIST_LIMITS, LIST_OF, Repair, type ListedRow, type ListName } from './repairRows';
export { type BrokenRule } from './rules';
export { picturesOf, scanFilesOf } from './pictures';
export {
  bodyInPresentWords,
  changeInPresentWords,
  revisionInPresentWords,
  stateInPresentWords,
} from './formerSteps';
export { presentRow } from './oldFiles';
export { FrozenFigures, RepairHead, RepairState, Revision } from './repair';
export { Change, type RowKind, type RowOf } from './change';
export { applyChange, inverseOf, rowBefore, withRow } from './applyChange';
export {
  ChangeReply,
  CreatedReply,
  ListQuery,
  NewRepair,
  DrawnFigure,
  Picture,
  Refusal,
  RepairLine,
  RepairList,
  Stage,
  STAGES,
  CorrectionEffects,
  type CorrectionEffect,
  TrialList,
} from './api';
export {
  REPAIR_FILE_VERSION,
  parseRepairFile,
  pathText,
  readRepairFile,
  writeRepairFile,
  type RepairFileContent,
  faultOfIssue,
} from './repairFile';
export { isGcodeLine, linesOf, unreadableLine, type UnreadableLine } from './gcodeLine';
export {
  ASKED_LIMIT,
  AskedSize,
  isOver,
  Job,
  JobAct,
  JobList,
  KeptGcode,
  JobReason,
  JobState,
  Mishap,
  NewJob,
} from './job';
export {
  FinishedWork,
  MadeReading,
  RESULTS_LIMIT,
  Remedy,
  Trial,
  TrialOf,
  TrialResult,
  Verdict,
} from './trial';
export { CAME_WITH_FILE, copyRepair, plainOf, takenIn, withFreshIds } from './copyRepair';
export { newSize } from './newSize';
export { emptyRepair } from './newRepair';
export { letterAt, nextLetter } from './letters';
