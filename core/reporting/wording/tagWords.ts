import { anyCopy, roleOf, stepOfTag, type FaceTag } from '@core/foundations/faceTag';
import { ownValue } from '@core/foundations/own';

const ROLE_WORDS: Record<string, string> = {
  top: 'the top',
  bottom: 'the bottom',
  wall: 'the wall',
  floor: 'the floor',
  right: 'the right side',
  left: 'the left side',
  front: 'the front side',
  back: 'the back side',
  corner: 'a rounded corner',
  flat: 'a flat',
  round: 'a round',
  inside: 'the inside',
  side: 'a side',
};

/** What a tagged face is called in sentences: `the top of step 2`. @param placeOf a step's place in its recipe. */
export function tagWords(tag: FaceTag, placeOf: (stepId: string) => number | undefined): string {
  const role = anyCopy(roleOf(tag)).replace(/\d+$/, '');
  const copy = /~(\d+)$/.exec(tag)?.[1];
  const place = placeOf(stepOfTag(tag));
  const of = place === undefined ? 'a step that is no longer before this one' : `step ${place}`;
  return `${ownValue(ROLE_WORDS, role) ?? 'a face'} of ${copy ? `number ${copy} of ` : ''}${of}`;
}
