import type { RowKind, WorkshopRowKind } from '@core/record/model';
import { ownValue } from '@core/foundations/own';

/** Words for each kind of row: what one is called, and how the one is told that somebody is changing. */
export const ROW_WORDS: Record<RowKind | WorkshopRowKind, { one: string; changed: string }> = {
  head: { one: 'repair', changed: 'the brief' },
  size: { one: 'size', changed: 'this size' },
  reading: { one: 'reading', changed: 'this reading' },
  layout: { one: 'layout', changed: 'this layout' },
  fit: { one: 'fit', changed: 'this fit' },
  chain: { one: 'chain', changed: 'this chain' },
  photo: { one: 'photo', changed: 'this photo' },
  body: { one: 'recipe', changed: 'this recipe' },
  revision: { one: 'revision', changed: 'this revision' },
  trial: { one: 'trial', changed: 'this trial' },
  scan: { one: 'scan', changed: 'this scan' },
  instrument: { one: 'instrument', changed: 'this instrument' },
  machine: { one: 'machine', changed: 'this machine' },
  fitTable: { one: 'table of fits', changed: 'these fits' },
  layerPrinter: { one: 'layer printer', changed: 'what this printer can do' },
  filament: { one: 'plastic', changed: 'this filament' },
  layerSet: { one: 'set of settings', changed: 'these settings' },
  material: { one: 'material', changed: 'this material' },
  resinPrinter: { one: 'resin printer', changed: 'what this printer can do' },
  resin: { one: 'resin', changed: 'how this resin is cured' },
  resinSet: { one: 'set of settings for resin', changed: 'these settings' },
};

/** What a row of a kind is called, also of a kind that only a newer server knows. */
export const rowWord = (row: string): string =>
  ownValue(ROW_WORDS as Partial<Record<string, { one: string }>>, row)?.one ?? row;
