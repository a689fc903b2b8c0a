import { USUAL_LAYING } from '@core/model';
import { settingsFor } from '@core/printing';
import type { LayerSettings } from '@core/slice';
import { LAYER_PRINTERS, LAYER_SETS } from '@core/workshop';

/** Settings that a workshop begins with, as the bench printer lays a body that says nothing else. */
export function settingsNamed(id: 'draft' | 'everyday' | 'strong' | 'fine'): LayerSettings {
  const set = LAYER_SETS.find((one) => one.id === id)!;
  return settingsFor(set, USUAL_LAYING, LAYER_PRINTERS[0]!);
}
