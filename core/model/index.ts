export { Id, NAME_LIMIT, MODEL_LIMIT_MM, name as Name } from './ids';
export {
  Body,
  BodyRole,
  EdgeRule,
  Step,
  Value,
  fitValue,
  numberValue,
  sizeValue,
  type StepKind,
  type StepOf,
} from './recipe';
export {
  Fit,
  FitClass,
  FrozenFigures,
  Jaw,
  Reading,
  Repair,
  RepairHead,
  RepairState,
  Revision,
  Size,
  SizeKind,
} from './repair';
export {
  Change,
  LIST_OF,
  applyChange,
  inverseOf,
  rowBefore,
  withRow,
  type RowKind,
  type RowOf,
} from './change';
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
  REPAIR_FILE_LIMIT_BYTES,
  REPAIR_FILE_VERSION,
  RepairFile,
  faultOfIssue,
  parseRepairFile,
  pathText,
  readRepairFile,
  writeRepairFile,
} from './repairFile';
export { copyRepair } from './copyRepair';
export { emptyRepair } from './newRepair';
export { letterAt, nextLetter } from './letters';
