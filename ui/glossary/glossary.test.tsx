import { fireEvent, render, screen } from '@testing-library/react';

import { TERMS } from '@core/reporting/glossary';

import { FieldLabel } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { TermSheet } from './TermSheet';

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
