import type { AddedFault } from './addedFault';
import type { AnyStepFault } from './anyStepFault';
import type { ChangedFault } from './changedFault';
import type { FilesFault } from './filesFault';
import type { FormulaFault } from './formulaFault';
import type { FoundFault } from './foundFault';
import type { MadeFault } from './madeFault';
import type { MeasuredFault } from './measuredFault';
import type { OutlineFault } from './outlineFault';
import type { PlainFault } from './plainFault';
import type { RowsFault } from './rowsFault';
import type { TypedFault } from './typedFault';
import type { ValueFault } from './valueFault';
import type { ServerFault } from './serverFault';

export type { AddedFault } from './addedFault';
export type { AnyStepFault, Unsound } from './anyStepFault';
export type { ChangedFault, WhereOnPart } from './changedFault';
export type { FilesFault, ValueProblem } from './filesFault';
export type { Dimensioned, FormulaFault } from './formulaFault';
export type { FoundFault } from './foundFault';
export type { MadeFault, PieceName } from './madeFault';
export type { ConstructionNumber, MeasuredFault, NotPossible } from './measuredFault';
export type { OutlineFault } from './outlineFault';
export type { PlainFault } from './plainFault';
export type { RowsFault } from './rowsFault';
export type { ServerFault } from './serverFault';
export type { TypedFault } from './typedFault';
export type { ValueFault } from './valueFault';
export type { CountedLengthName, LengthName, PlainLengthName } from './lengthName';
export type { EdgesOfRule, LookedFor, NamedFace } from './lookedFor';
export type { NamedLength } from './namedLength';

/**
 * What can be wrong with something a person gave us, as data. A fault says what was given, where, and
 * the limit it broke; the sentence for it is made in `core/reporting/wording`. Lengths are millimetres, angles radians.
 */
export type Fault = StepFault | TypedFault | RowsFault | FilesFault | FoundFault | ServerFault;

/** Faults found while a recipe is built, or made; each is reported at one step. */
export type StepFault =
  | FormulaFault
  | MeasuredFault
  | ValueFault
  | OutlineFault
  | AddedFault
  | ChangedFault
  | AnyStepFault
  | MadeFault
  | PlainFault;

export type FaultCode = Fault['code'];

/** The outcome of something a person asked for: the value, or the fault that stopped it. */
export type Result<T, F = Fault> = { ok: true; value: T } | { ok: false; fault: F };

export const ok = <T>(value: T): { ok: true; value: T } => ({ ok: true, value });
export const no = <F>(fault: F): { ok: false; fault: F } => ({ ok: false, fault });
