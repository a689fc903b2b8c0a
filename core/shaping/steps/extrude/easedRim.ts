import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import type { SettledStepOf } from '@core/record/model';
import type { StepInput } from '@core/shaping/forming';
import { boolean, boundingBox, turnedLoop, type TaggedSolid } from '@core/shaping/kernel';
import { cornerLoop, gearRadii, type Point } from '@core/shaping/outline';
import { faceTag, OVERRUN_MM } from '@core/shaping/part';

import type { LengthsOf } from '../kinds';

/**
 * A raised gear with its tips eased towards both ends: what it has in common with a disc whose edges are eased. One cut,
 * where easing each tip would take as many as there are teeth. Takes nothing over. New faces: rim.
 */
export function withRim(
  step: SettledStepOf<'extrude'>,
  lengths: LengthsOf<'extrude'>,
  gear: TaggedSolid,
  { kernel, stand }: StepInput,
): Result<TaggedSolid, StepFault> {
  const outline = step.outline as Extract<SettledStepOf<'extrude'>['outline'], { shape: 'gear' }>;
  const rim = lengths.outline.rim!;
  const { tip } = gearRadii({
    ...outline,
    module: lengths.outline.module!.mm,
    backlash: lengths.outline.backlash!.mm,
  });
  const [, , low, , , high] = boundingBox(kernel, gear.shape);
  if (rim.mm >= Math.min((high - low) / 2, tip / 2))
    return no({
      code: 'chamfer.tooLarge',
      size: rim,
      verb: 'Ease',
      mostMm: Math.floor(10 * (Math.min((high - low) / 2, tip / 2) - 0.01)) / 10,
      at: 'tipsOfTeeth',
    });
  const over = tip + OVERRUN_MM;
  const corners: { at: Point; role: string }[] = [
    { at: [0, low], role: 'bottom' },
    { at: [tip - rim.mm, low], role: 'rim' },
    { at: [over, low + rim.mm + OVERRUN_MM], role: 'over' },
    { at: [over, high - rim.mm - OVERRUN_MM], role: 'rim' },
    { at: [tip - rim.mm, high], role: 'top' },
    { at: [0, high], role: 'axis' },
  ];
  // Where the slopes would meet before the overrun, they meet at their middle.
  const isThin = high - low <= 2 * (rim.mm + OVERRUN_MM);
  const meeting = tip - rim.mm + (high - low) / 2;
  const kept = isThin
    ? [...corners.slice(0, 2), { at: [meeting, (low + high) / 2] as Point, role: 'rim' }, ...corners.slice(4)]
    : corners;
  const disc = turnedLoop(kernel, cornerLoop(kept), stand.at, (role) => faceTag(step.id, role));
  const eased = boolean('common', gear, disc);
  disc.dispose();
  return ok(eased);
}
