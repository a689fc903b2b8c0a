import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { fileStem, mimeOf, type SpareFile, type SpareFormat } from '@core/making/formats';
import { meshOf, type TaggedSolid } from '@core/shaping/kernel';
import type { Body, RepairHead } from '@core/record/model';
import { KernelRefusal, LAYER_QUALITY, weld, type WeldedMesh } from '@core/shaping/part';
import { grownBy } from '@core/shaping/forming';
import type { Built } from '@core/shaping/solid';
import { growthWords } from '@core/reporting/wording';
import type { Growth } from '@core/record/workshop';

import type { AsMade } from './asMade';
import { WRITERS } from './writers';

/**
 * Names of the files of each spare, without their endings, by the spare's id; no two alike.
 * @param label what tells this state from others: the revision, or nothing.
 */
export function spareStems(head: RepairHead, bodies: readonly Body[], label: string): Map<string, string> {
  const taken = new Set<string>();
  const stems = new Map<string, string>();
  for (const { id, name, role, removed } of bodies) {
    if (role !== 'spare' || removed) continue;
    const plain = fileStem(head.name, name, label);
    let stem = plain;
    for (let count = 2; taken.has(stem); count += 1) stem = `${plain}-${count}`;
    taken.add(stem);
    stems.set(id, stem);
  }
  return stems;
}

/** A spare that is to be written. */
export interface Spare {
  head: RepairHead;
  body: Body;
  built: Built;
  stem: string;
  /** How much larger it goes into its files, along x, y and z, for what shrinks; null for as it is. */
  growth: Growth | null;
  /** What its files say of how it is to be made. */
  asMade: AsMade;
}

/**
 * One spare as a file. Checks first that its solid is closed and its mesh watertight: nothing half built leaves. What shrinks
 * in the making is larger in the file, about the origin, all sizes alike and once; its title says so.
 *
 * @param label what tells this state from others in the title: the revision, or nothing.
 * @param when ISO 8601 instant.
 */
export function spareFile(
  format: SpareFormat,
  spare: Spare,
  label: string,
  when: string,
): Result<SpareFile, Fault> {
  const sized = sizedSolid(spare.built, spare.growth);
  if (!sized.ok) return sized;
  const file = written(format, sized.value.solid, spare, label, when);
  sized.value.dispose();
  return file;
}

/** A solid as large as it is to be made. */
interface SizedSolid {
  solid: TaggedSolid;
  /** Of what was made for it alone. */
  dispose(): void;
}

/** A spare that is closed, as large as it is to be made; whoever asks for it disposes of it. */
export function sizedSolid({ solid, check }: Built, growth: Growth | null): Result<SizedSolid, Fault> {
  if (!solid || !check) return no({ code: 'step.nothingLeft' });
  if (!check.closed || !check.valid) return no({ code: 'step.notValid', reason: 'notClosed' });
  if (!growth) return ok({ solid, dispose: () => {} });
  const grown = attempt(() => grownBy(solid, growth));
  return grown.ok ? ok({ solid: grown.value, dispose: () => grown.value.dispose() }) : grown;
}

/** A spare as it is to be laid in layers: closed triangles, as large as it is to be made. */
export function layerMeshOf(built: Built, growth: Growth | null): Result<WeldedMesh, Fault> {
  const sized = sizedSolid(built, growth);
  if (!sized.ok) return sized;
  const mesh = weld(meshOf(sized.value.solid, LAYER_QUALITY));
  sized.value.dispose();
  return ok(mesh);
}

function attempt(grow: () => TaggedSolid): Result<TaggedSolid, Fault> {
  try {
    return ok(grow());
  } catch (refusal) {
    if (refusal instanceof KernelRefusal) return no({ code: 'make.notGrown', message: refusal.message });
    throw refusal;
  }
}

function written(
  format: SpareFormat,
  solid: TaggedSolid,
  { head, body, stem, growth, asMade }: Spare,
  label: string,
  when: string,
): Result<SpareFile, Fault> {
  const title = [head.name, body.name, label, growth ? `larger for shrinkage by ${growthWords(growth)}` : '']
    .filter(Boolean)
    .join(', ');
  const bytes = WRITERS[format]({ solid, title, name: body.name, when, asMade });
  return bytes.ok ? ok({ name: `${stem}.${format}`, mime: mimeOf(format), bytes: bytes.value }) : bytes;
}
