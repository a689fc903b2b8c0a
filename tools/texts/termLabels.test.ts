import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { termOfLabel } from '@ui/shared/termLabels';

import { textsForPeople } from './textsForPeople';

const ROOT = join(__dirname, '..', '..');

test('every heading and field that has a mark is on a screen', () => {
  const texts = new Set(textsForPeople(ROOT).map(({ text }) => text));
  const source = readFileSync(join(ROOT, 'ui', 'shared', 'termLabels.ts'), 'utf8');
  const labels = [...source.matchAll(/\['([^']+)', '\w+'\]/g)].map(([, label]) => label!);
  expect(labels.length).toBeGreaterThan(40);
  for (const label of labels) {
    expect(termOfLabel(label)).not.toBeNull();
    expect([label, texts.has(label)]).toEqual([label, true]);
  }
});
