import { fireEvent, render, screen } from '@testing-library/react';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

import { TERMS } from '@core/reporting/glossary';

import { FieldLabel } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { TermSheet } from './TermSheet';
import { termOfLabel } from './termLabels';

test('a heading that is a word of the trade opens what it is; others have no mark', () => {
  render(
    <>
      <GroupHeading>Supports</GroupHeading>
      <FieldLabel>Retraction</FieldLabel>
      <GroupHeading>What came out</GroupHeading>
      <TermSheet />
    </>,
  );
  expect(screen.getAllByRole('button')).toHaveLength(2);
  fireEvent.click(screen.getByRole('button', { name: 'What is this? Supports' }));
  expect(screen.getByText(TERMS.support.says)).toBeTruthy();
  expect(screen.getByLabelText('Drawing: supports')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByText(TERMS.support.says)).toBeNull();
});

test('every heading and field that has a mark is on a screen', () => {
  const folder = join(__dirname, '..');
  const sources = readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !name.startsWith('glossary/'))
    .map((name) => readFileSync(join(folder, name), 'utf8'))
    .join('\n');
  const labels = [
    ...readFileSync(join(__dirname, 'termLabels.ts'), 'utf8').matchAll(/\['([^']+)', '\w+'\]/g),
  ];
  expect(labels.length).toBeGreaterThan(40);
  for (const [, label] of labels) {
    expect(termOfLabel(label!)).not.toBeNull();
    expect([label, sources.includes(label!)]).toEqual([label, true]);
  }
});
