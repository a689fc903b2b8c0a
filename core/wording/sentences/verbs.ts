import type { StepKind } from '@core/model';

/** The verb alone, and what it does, for the list that a new step is chosen from. */
export const STEP_VERBS: Record<StepKind, { verb: string; what: string }> = {
  turn: { verb: 'Turn', what: 'a wheel or a pin, round the axle line' },
  plate: { verb: 'Lay', what: 'a plate with rounded corners' },
  peg: { verb: 'Raise', what: 'a peg on the top' },
  groove: { verb: 'Cut', what: 'a groove round the rim' },
  raise: { verb: 'Raise or cut', what: 'an outline: circle, slot, rectangle, polygon' },
  cone: { verb: 'Set a cone', what: 'or cut one out, as for a countersunk head' },
  ball: { verb: 'Set a ball', what: 'or cut one out' },
  ring: { verb: 'Set a ring', what: 'of round section, or cut its groove' },
  repeat: { verb: 'Repeat', what: 'a step in a row, round the axle line, or at the points of a layout' },
  mirror: { verb: 'Mirror', what: 'all that is there' },
  stations: { verb: 'Turn through stations', what: 'a handle, a grip or a plug as calipers take it' },
  hollow: { verb: 'Hollow', what: 'it to an even wall' },
  drill: { verb: 'Drill', what: 'a hole, right through or part of the way' },
  ease: { verb: 'Ease', what: 'edges with a flat at 45°' },
  round: { verb: 'Round', what: 'edges' },
};
