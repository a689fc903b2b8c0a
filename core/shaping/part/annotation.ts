import type { Vec3 } from '@core/foundations/vectors';
import type { Value } from '@core/record/model';

/** A size drawn on the part, in model coordinates (mm). The view chooses the form that faces it best. */
export interface Annotation {
  stepId: string;
  /** Which number of the step: the key in the step's own data. */
  field: string;
  value: Value;
  /** Shown after the tag. */
  mm: number;
  /** A leader points at a hole; a span runs from end to end, drawn clear of the part. */
  form: 'span' | 'leader';
  /** For a span: both ends, and the way in which it is drawn clear. Several choices, best facing wins. */
  spans: { from: Vec3; to: Vec3; out: Vec3 }[];
  /** For a leader: the points it may point at, with the way out. */
  points: { at: Vec3; out: Vec3 }[];
}

/** The axis of something round, to be drawn as a chain line; and a cross where it is seen end on. */
export interface CentreLine {
  from: Vec3;
  to: Vec3;
  radius: number;
}
