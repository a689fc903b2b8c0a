import type { AfterworkTask } from '@core/making/afterwork';
import type { Afterwork } from '@core/foundations/fields';

import type { Lengths } from './lengths';
import { minutesText } from './layers';

const WORDS: Record<Exclude<Afterwork, 'ream' | 'cure'>, string> = {
  cool: 'Let it cool on the bed until it comes off',
  drip: 'Let it drip off over the vat',
  takeOff: 'Take it off',
  wash: 'Wash it',
  supports: 'Break off the supports and smooth the marks',
  foot: 'Cut off the brim or skirt',
  edges: 'Deburr the edges',
  nut: 'Put the nut in its pocket',
  glue: 'Put the halves together and glue them',
};

/** What is to be done, in words, with how long it takes: "Wash it, 6 min." */
export function afterworkSentence({ what, minutes, fit, shrinks }: AfterworkTask, show: Lengths): string {
  const long = minutesText(minutes);
  if (what === 'ream') {
    return fit
      ? `Ream “${fit.name}” to ${show.length(fit.toMm)}, ${long}: the machine alone hits this size too rarely.`
      : `Ream its hole, ${long}.`;
  }
  if (what === 'cure') {
    const allowed = shrinks
      ? ` It shrinks by ${(100 * shrinks).toFixed(1)} %, which is in its sizes already.`
      : '';
    return `Cure it under the lamp, ${long}.${allowed}`;
  }
  return `${WORDS[what]}, ${long}.`;
}

/** "About 8 min hands-on and 18 min of waiting." */
export function afterworkTotal(tasks: readonly AfterworkTask[]): string {
  const sum = (waits: boolean) =>
    tasks.filter((task) => task.waits === waits).reduce((all, { minutes }) => all + minutes, 0);
  const [hands, waiting] = [sum(false), sum(true)];
  return `About ${minutesText(hands)} hands-on${waiting > 0 ? ` and ${minutesText(waiting)} of waiting` : ''}.`;
}
