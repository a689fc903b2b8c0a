import type { Term } from './term';

const own = (word: string, code: string, says: string): Term => ({ word, says, code, drawing: null });

/** Words that are ours, or everyday ones with a meaning of their own here. */
export const OURS = {
  repair: own(
    'repair',
    '`Repair`',
    'Everything known of one broken part: sizes, fits, recipes, revisions, trials.',
  ),
  size: own(
    'size, tag',
    '`Size`',
    'A length, an angle or a count with a letter: measured, stated, worked out or chosen.',
  ),
  trail: own('trail', '`Trail`', 'How a working size comes about, number by number.'),
  spare: own('spare, counterpart', '`Body.role`', 'The part that is made, and the body of its mating part.'),
  gaugeRow: own(
    'gauge row',
    '`gaugeRow`',
    'A plate with nine places from tight to loose, to find by feel what is right.',
  ),
  testPiece: own('test piece', '`testPieceOf`', 'A small piece of the real part round one fit, made first.'),
  recipe: own(
    'recipe, step',
    '`Body.steps`, `Step`',
    'The solid as a list of sentences (a feature history).',
  ),
  chip: own(
    'chip',
    '`Value`',
    'A number in a sentence: typed, or taken from a size, a fit, a formula or a layout.',
  ),
  stance: own('stance', '`Stance`', 'A direction to look at the part from.'),
  raise: own('raise, cut', 'kind `extrude`', 'An outline made into a solid of some height, or its cut.'),
  wheel: own('turn a wheel', 'kind `disc`', 'A disc about the axle line.'),
  stations: own(
    'turn through stations',
    'kind `stations`',
    'A grip or a plug through sections measured along it.',
  ),
  drill: own('drill', 'kind `hole`', 'A round hole, with or without a recess for a head or a nut.'),
  ball: own('ball, ring', 'kinds `sphere`, `torus`', 'A sphere and a torus.'),
  repeat: own(
    'repeat, mirror',
    'kinds `pattern`, `mirror`',
    'Copies of steps in rows or round an axis, and mirror images.',
  ),
  makeRoom: own('make room for', 'kind `body`', 'Cuts the shape of another body, with clearance.'),
  moveFaces: own('move faces', 'kind `offset`', 'Moves faces of the part in or out.'),
  effect: own(
    'add, cut out, keep only, set apart',
    '`Effect`',
    'What becomes of the solid of a step: union, difference, intersection, a piece of its own.',
  ),
  axleLine: own(
    'axle line',
    '`Place`',
    'The upright line through the middle of the part, which places are measured from.',
  ),
  brief: own(
    'brief, clue',
    '`Brief`, `Clue`',
    'What is known of the break and of where the part lives; what tells old materials apart.',
  ),
  layout: own('layout', '`Layout`', 'Holes or pegs placed by the distances between them.'),
  revision: own('revision', '`Revision`', 'All numbers of a repair, frozen when a part is made.'),
  trial: own('trial', '`Trial`, `TrialResult`', 'How each fit of a made part felt, and what it measures.'),
  feels: own('how it went', '`Verdict`', 'Rattles, loose, right, stiff, will not go.'),
  habits: own(
    'habits of a machine',
    '`Belief`, `Correction.learned`',
    'What a machine makes of sizes, learned from trials.',
  ),
  severalMates: own(
    'it must fit all of these',
    '`Fit.alsoSizeIds`',
    'Several mating parts of one fit; the chance on each and on all.',
  ),
  yourSnug: own(
    'what you call snug',
    '`Feel`',
    'What a class of fit means to you, learned from your verdicts.',
  ),
  drift: own(
    'a machine that changed',
    '`Drift`, `Machine.learnsSince`',
    'A machine that makes otherwise since some trial, and the day from which it is learned again.',
  ),
  effects: own(
    'what else changes',
    '`CorrectionEffect`',
    'Working sizes of other repairs that a new correction would move.',
  ),
  misplaced: own(
    'where should it be?',
    '`TrialResult.misplaced`',
    'How far a place is off, and in which direction it should move.',
  ),
  nextNumbers: own(
    'next numbers',
    '`Proposal`',
    'A correction or a clearance that should change, with what becomes of the chance.',
  ),
  caution: own(
    'worth a look',
    '`Caution`',
    'A thin wall, a sharp corner, a strained tongue: where it is and how to fix it.',
  ),
  job: own(
    'job',
    '`Job`',
    'What was sent to a machine: where it is, what happened to it, what to measure of it.',
  ),
  practicePrinter: own(
    'practice printer',
    '`devices/`',
    'A stand-in that takes the real file and gives back a part that is off in its own way.',
  ),
  scannedPiece: own(
    'scanned piece',
    '`FoundMesh`',
    'A mesh that was scanned or made elsewhere, aligned with a spare.',
  ),
} satisfies Record<string, Term>;

/** Names that only the code has. */
export const CODE_ONLY: readonly (readonly [string, string])[] = [
  ['`FaceTag`', 'a face’s name: the step that made it and its role there'],
  ['`TaggedSolid`', 'a solid of the kernel whose faces know where they come from'],
  ['`Place`, `Placement`', 'where a step is said to be; the frame and the level that it comes to'],
  ['`LengthsOf<K>`', 'a step’s numbers once everything they are taken from is known'],
  ['`PrintSetup`', 'how a body is printed: orientation, settings by name, supports, bed adhesion'],
  ['`SliceRequest`, `SlicedJob`', 'what is to be sliced with what; what came of it'],
  ['`Toolpath`', 'the moves of a machine for a job, written as G-code'],
  ['`FirstMake`', 'a first print of a rehearsal, beside that of one who knows the machine'],
];
