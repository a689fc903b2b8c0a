import { featureOf } from '@core/fitting/fit';
import type { Drift } from '@core/fitting/learn';
import type { Cause, Contradiction, Judged, Proposal, Saving } from '@core/fitting/trial';
import type { FeatureKind, Remedy, Verdict } from '@core/record/model';
import { chanceWords, fitClassOf } from '@core/reporting/wording';
import type { Lengths } from '@core/reporting/wording';

/** How it went, on the bench. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  rattles: 'Rattles',
  loose: 'Loose',
  right: 'Right',
  stiff: 'Stiff',
  willNotGo: 'Will not go',
};

export const REMEDY_WORDS: Record<Remedy, string> = {
  filed: 'Filed',
  drilled: 'Drilled',
  reamed: 'Reamed',
  sanded: 'Sanded',
  warmed: 'Warmed',
  shimmed: 'Shimmed',
  tied: 'Tied for now',
};

const KIND_WORDS: Record<FeatureKind, string> = {
  inside: 'holes',
  outside: 'outsides',
  height: 'heights',
  spacing: 'spacings',
};

const CAUSE_WORDS: Record<Cause, string> = {
  machine: 'what the machine does to it',
  allowance: 'how much was allowed',
  measuring: 'how the mating part was measured',
  scatter: 'only the usual variation',
};

/** What it most likely was, how surely, and what would tell more. */
export function causeSentence({ told, result }: Pick<Judged, 'told' | 'result'>, tag: string | null): string {
  const [first, second] = told.causes;
  const bad = result.verdict !== null && result.verdict !== 'right';
  if (!bad && result.made.length === 0) return '';
  if (!bad && first!.cause === 'scatter') return '';
  const surely = `Most likely it is ${CAUSE_WORDS[first!.cause]} (${chanceWords(first!.probability)})`;
  if (told.ask === null) return `${surely}.`;
  const other = `, else ${CAUSE_WORDS[second!.cause]} (${chanceWords(second!.probability)})`;
  const ask = {
    made: 'Measure the part: that tells them apart.',
    counterpart: `Measure ${tag ?? 'the counterpart'} again, with the same care: that tells them apart.`,
    make: 'The next one made, or a gauge row, will tell them apart.',
  }[told.ask];
  return bad ? `${surely}${other}. ${ask}` : '';
}

/** What was measured and what was felt do not go together. */
export const CONTRADICTION_SENTENCES: Record<Contradiction, string> = {
  looseYetTight:
    'It measures loose but felt tight. One of the two is a mistake, or something is in the way, such as elephant foot or a string of plastic. Look at its mouth, and measure again further in.',
  tightYetLoose:
    'It measures tight but felt loose. One of the two is a mistake, or it was tried on another piece. Measure both again.',
};

/** What came out beside what was wanted. */
export function clearanceSentence({ result, clearanceMm, evidence }: Judged, show: Lengths): string | null {
  if (clearanceMm === null) return null;
  if (result.ofSize) {
    const off = featureOf(result.feature).inside ? clearanceMm : -clearanceMm;
    if (Math.abs(off) < 0.005) return 'It came out right.';
    return `It came out ${show.length(Math.abs(off))} too ${off > 0 ? 'large' : 'small'}.`;
  }
  const { wish } = evidence;
  const place =
    clearanceMm < wish.fromMm
      ? 'tighter than the target'
      : clearanceMm > wish.toMm
        ? 'looser than the target'
        : 'on target';
  return `Clearance ${show.signed(clearanceMm)} ${show.word}, ${place} (${show.signed(wish.fromMm)} to ${show.signed(wish.toMm)}).`;
}

/** A number that should change, why, and what becomes of it. */
export function proposalSentence(
  proposal: Proposal,
  fitName: string,
  tag: string | null,
  show: Lengths,
): string {
  switch (proposal.kind) {
    case 'correction': {
      const { machine, feature, fromMm, toMm, count, odd } = proposal;
      const from = `${count} made ${count === 1 ? 'size' : 'sizes'}${odd > 0 ? `; ${odd} left out as outliers` : ''}`;
      return `${machine.name}: correct ${KIND_WORDS[feature]} by ${show.signed(toMm)} ${show.word} instead of ${show.signed(fromMm)} (from ${from}). ${effectSentence(proposal, show)}`.trim();
    }
    case 'feel': {
      const { fitClass, count } = proposal;
      return `By ${count} verdicts, what you call “${fitClassOf(fitClass).word.toLowerCase()}” is ${show.signed(proposal.toMm)} ${show.word} at 6 mm, not ${show.signed(proposal.fromMm)}: take that for all such fits. ${effectSentence(proposal, show)}`.trim();
    }
    case 'allowance':
      return `${fitName}: a clearance of ${show.signed(proposal.toMm)} ${show.word} instead of ${show.signed(proposal.fromMm)}, as it felt. ${effectSentence(proposal, show)}`.trim();
  }
}

function effectSentence({ working, chance }: Pick<Proposal, 'working' | 'chance'>, show: Lengths): string {
  const size = working
    ? `The working size goes from ${show.length(working.fromMm)} to ${show.length(working.toMm)}`
    : '';
  const then = chance === null ? '' : `the chance becomes ${chanceWords(chance)}`;
  const both = [size, then].filter(Boolean).join(', ');
  return both === '' ? '' : `${both}.`;
}

/** Short, for the reasons of the next revision. */
export function proposalReason(proposal: Proposal, fitName: string, show: Lengths): string {
  switch (proposal.kind) {
    case 'correction':
      return `${proposal.machine.name}, ${KIND_WORDS[proposal.feature]} ${show.signed(proposal.toMm)} for ${show.signed(proposal.fromMm)}`;
    case 'feel':
      return `“${fitClassOf(proposal.fitClass).word}” ${show.signed(proposal.toMm)} for ${show.signed(proposal.fromMm)} at 6 mm`;
    case 'allowance':
      return `${fitName} ${show.signed(proposal.toMm)} for ${show.signed(proposal.fromMm)}`;
  }
}

/** A machine that makes otherwise since a day. */
export function driftSentence(
  { feature, shiftMm }: Drift,
  machineName: string,
  since: string,
  show: Lengths,
): string {
  const way = shiftMm < 0 ? 'smaller' : 'larger';
  return `Since ${since} ${machineName} makes ${KIND_WORDS[feature]} ${show.length(Math.abs(shiftMm))} ${way} than before. Check what changed: a nozzle, a belt, another spool. Its earlier results say little now.`;
}

/** How the part that lies there can be saved. */
export function savingSentence(saving: Saving, show: Lengths): string {
  switch (saving.by) {
    case 'ream':
      return `Without making a new one: ream or drill it to ${show.length(saving.toMm)}.`;
    case 'deepen':
      return `Without making a new one: deepen it to ${show.length(saving.toMm)}.`;
    case 'sand':
      return `Without making a new one: sand ${show.length(saving.byMm)} off, to ${show.length(saving.toMm)}.`;
    case 'shim':
      return `Without making a new one: a shim or a turn of tape, ${show.length(saving.eachMm)} thick.`;
  }
}
