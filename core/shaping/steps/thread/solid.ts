import { no, ok, type NamedLength, type Result, type StepFault } from '@core/foundations/fault';
import { cylinder } from '@core/shaping/kernel';
import type { SettledStepOf } from '@core/record/model';
import { OVERRUN_MM, type Placement, faceTag } from '@core/shaping/part';
import { type StepSolid, threadedRod, type Mouth } from '@core/shaping/forming';
import { ridgeOf, THREADS, threadForm } from '@core/foundations/standards';

/** More turns than this take too long to mesh on a phone. */
const MOST_TURNS = 100;

/** A screw thread. Faces: thread, root, lead, bottom, top; of a drawn one: wall, bottom, top. */
export const solid: StepSolid<'thread'> = {
  tool(step, lengths, { kernel, before, stand }) {
    const { side } = step;
    const named = THREADS.find(({ name }) => name === step.size);
    if (!named) return no({ code: 'thread.unknown', size: step.size });
    if (side === 'inside' && !before) return no({ code: 'step.firstMustAdd', verb: 'Thread' });
    if (step.length === 'through' && side === 'outside') return no({ code: 'extrude.nothingToGoThrough' });
    const form = threadForm(named);
    const ridge = ridgeOf(form, side, lengths.play.mm);
    if (!ridge || lengths.play.mm < 0) {
      return no({ code: 'thread.playTooLarge', play: lengths.play, depthMm: form.heightMm / 5 });
    }
    const room =
      side === 'inside' ? roomFor(2 * ridge.crestRadius, step.size, lengths.length ?? null, stand) : ok(null);
    if (!room.ok) return room;
    const { from, to } = heightsOf(step, lengths.length?.mm ?? null, stand);
    const length = lengths.length ?? { what: 'length', tag: null, mm: to - from };
    if (length.mm < form.pitchMm) {
      return no({ code: 'thread.tooShort', length, pitchMm: form.pitchMm });
    }
    const [x, y] = stand.at;
    if (step.made === 'drawn') {
      // To be cut by hand: the rod over its crests, the hole between them.
      const radius = side === 'outside' ? ridge.crestRadius : ridge.coreRadius;
      return ok(
        cylinder(kernel, { x, y, z: from, radius, height: to - from }, (role) => faceTag(step.id, role)),
      );
    }
    const limitMm = MOST_TURNS * form.pitchMm;
    if (to - from > limitMm) return no({ code: 'thread.tooLong', length, limitMm });
    return ok(
      threadedRod(
        kernel,
        ridge,
        form.pitchMm,
        {
          x,
          y,
          z: from,
          length: to - from,
          hasLead: side === 'outside',
          mouths: side === 'inside' && step.eased ? mouthsOf(step, stand) : [],
        },
        (role) => faceTag(step.id, role),
      ),
    );
  },
  annotate(step, lengths, { stand }) {
    const { from, to } = heightsOf(step, lengths.length?.mm ?? null, stand);
    const radius = (THREADS.find(({ name }) => name === step.size)?.majorMm ?? 0) / 2;
    const [x, y] = stand.at;
    return {
      annotations:
        step.length === 'through' || step.side === 'inside'
          ? []
          : [
              {
                stepId: step.id,
                field: 'length',
                value: step.length,
                mm: lengths.length!.mm,
                form: 'span',
                spans: [
                  { from: [x + radius, y, from], to: [x + radius, y, to], out: [1, 0, 0] },
                  { from: [x, y + radius, from], to: [x, y + radius, to], out: [0, 1, 0] },
                ],
                points: [],
              },
            ],
      centreLines: [{ from: [x, y, from], to: [x, y, to], radius }],
    };
  },
};

/** A threaded hole that is wider than the part, misses it or comes out at its far side leaves slivers, and takes long to. */
function roomFor(
  acrossMm: number,
  size: string,
  length: NamedLength | null,
  { at: [x, y], level, up, box }: Placement,
): Result<null, StepFault> {
  const [x0, y0, z0, x1, y1, z1] = box!;
  const bore: NamedLength = { what: `thread ${size}`, tag: null, mm: acrossMm };
  const bodyMm = Math.min(x1 - x0, y1 - y0);
  if (acrossMm >= bodyMm) return no({ code: 'hole.widerThanBody', bore, bodyMm });
  const radius = acrossMm / 2;
  if (x - radius >= x1 || x + radius <= x0 || y - radius >= y1 || y + radius <= y0) {
    return no({ code: 'hole.missesBody', bore });
  }
  const thickMm = up ? z1 - level : level - z0;
  if (length && length.mm >= thickMm) {
    return no({ code: 'hole.deeperThanBody', depth: { ...length, what: 'thread' }, bodyMm: thickMm });
  }
  return ok(null);
}

/** Where a threaded hole comes out of the part. */
function mouthsOf({ length }: SettledStepOf<'thread'>, { level, up, box }: Placement): Mouth[] {
  const own: Mouth = { z: level, way: up ? -1 : 1 };
  if (length !== 'through') return [own];
  return [
    { z: box?.[5] ?? 0, way: 1 },
    { z: box?.[2] ?? 0, way: -1 },
  ];
}

function heightsOf(
  { side }: SettledStepOf<'thread'>,
  length: number | null,
  { level, up, past, box }: Placement,
) {
  if (side === 'outside') return { from: level, to: level + (length ?? 0) };
  if (length === null) return { from: (box?.[2] ?? 0) - OVERRUN_MM, to: (box?.[5] ?? 0) + OVERRUN_MM };
  return up ? { from: level - past, to: level + length } : { from: level - length, to: level + past };
}
