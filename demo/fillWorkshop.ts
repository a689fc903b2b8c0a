import { evaluateRepair } from '@core/fitting/fit';
import { CreatedReply, Repair, RepairList, type Change } from '@core/record/model';
import { drawPicture, RepairBuilder } from '@core/shaping/solid';
import { startKernel } from '@core/shaping/kernel';

import { lettersFont } from '../tools/lettersFont';

/**
 * Fills an empty workshop with repair files, through the API that a person uses, and draws a picture of each
 * for the list.
 *
 * @returns false if there were repairs already; then nothing is changed.
 */
export async function fillWorkshop(
  address: string,
  files: readonly string[],
  say: (line: string) => void,
): Promise<boolean> {
  const api = async (path: string, method = 'GET', body?: string): Promise<unknown> => {
    const response = await fetch(`${address}/api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body }),
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
    return response.status === 204 ? null : ((await response.json()) as unknown);
  };
  if (RepairList.parse(await api('/repairs?limit=1')).total > 0) return false;

  const kernel = await startKernel();
  for (const [index, file] of files.entries()) {
    const { id } = CreatedReply.parse(await api('/repair-files', 'POST', file));
    const repair = Repair.parse(await api(`/repairs/${id}`));
    say(`${index + 1} of ${files.length}: ${repair.head.name}`);
    // This is the workshop that they were made in.
    for (const trial of repair.trials) {
      const change: Change = {
        changeId: `demo-${trial.id}`,
        row: 'trial',
        baseVersion: trial.version,
        value: { ...trial, leftOut: null },
      };
      await api(`/repairs/${id}/changes`, 'POST', JSON.stringify(change));
    }
    const spare = repair.bodies.find((body) => body.role === 'spare' && !body.removed);
    if (!spare) continue;
    const builder = new RepairBuilder(kernel, lettersFont());
    const solid = builder.build(repair.bodies, evaluateRepair(repair)).get(spare.id)?.solid;
    if (solid) await api(`/repairs/${id}/picture`, 'PUT', JSON.stringify(drawPicture(solid, 'demo')));
    builder.dispose();
  }
  return true;
}
