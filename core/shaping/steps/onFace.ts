import type { FacePick } from '@core/foundations/fields';
import { numberValue, type StepKind } from '@core/record/model';

/** What can be done at a face that is tapped: the kind of step, and what of it the face says. */
export interface FaceOffer {
  kind: StepKind;
  /** What is done there: "Drill here". */
  words: string;
  patch: Record<string, unknown>;
}

/** On a flat face, in its middle, or at a place from the axle line. */
const standing = (face: FacePick, at: FaceFacts['at']) =>
  at
    ? {
        on: { face },
        x: numberValue(Math.round(at[0])),
        y: numberValue(Math.round(at[1])),
        xFrom: 'axle',
        yFrom: 'axle',
      }
    : { on: { face }, x: numberValue(0), y: numberValue(0) };

/** What a face is, as far as it says what can be done there. */
export interface FaceFacts {
  /** It is a plane: on a round face nothing can stand. */
  isFlat: boolean;
  /** Where things stand on it from the axle line, mm, to a whole one; null for its middle. */
  at: readonly [number, number] | null;
}

/** How high or deep what is raised or cut at a face is at first, mm: it is seen, and changed. */
const FIRST_MM = 5;

/** What can be done at a face, the likeliest first. */
export function offersOnFace(face: FacePick, { isFlat, at }: FaceFacts): FaceOffer[] {
  const there = standing(face, at);
  const rim = { where: { edges: 'face', face } };
  const height = numberValue(FIRST_MM);
  return [
    ...(isFlat
      ? ([
          { kind: 'hole', words: 'Drill here', patch: there },
          { kind: 'extrude', words: 'Raise from here', patch: { ...there, effect: 'add', height } },
          { kind: 'extrude', words: 'Cut in here', patch: { ...there, effect: 'cut', height } },
        ] as FaceOffer[])
      : []),
    { kind: 'fillet', words: 'Round its edges', patch: rim },
    { kind: 'chamfer', words: 'Ease its edges', patch: rim },
    ...(isFlat
      ? ([
          { kind: 'shell', words: 'Hollow from here', patch: { open: [face] } },
          { kind: 'text', words: 'Letter here', patch: there },
        ] as FaceOffer[])
      : []),
  ];
}
