import { programFaultOf, programFaultReport, programFaultSentence } from '@core/reporting/wording';

const WHEN = '2026-05-08T10:06:00.000Z';

test('whatever was thrown becomes a fault with a place and what is safe', () => {
  const fault = programFaultOf(new TypeError('x is undefined'), 'step 3 of Wheel', WHEN);
  expect(fault).toMatchObject({ message: 'TypeError: x is undefined', where: 'step 3 of Wheel' });
  expect(fault.stack).toContain('programFault.test');
  expect(programFaultSentence(fault)).toBe(
    'Something went wrong in the program itself, in step 3 of Wheel. Nothing that you typed is lost.',
  );
  expect(programFaultOf('torn', 'sizes', WHEN).message).toBe('Error: torn');
});

test('the report has all that helps to mend it, and nothing of the repair', () => {
  const report = programFaultReport(programFaultOf(new Error('torn'), 'the sizes', WHEN), {
    'Repair file': '3',
    Browser: 'some browser',
  });
  expect(report).toContain(
    'When: 2026-05-08T10:06:00.000Z\nWhere: the sizes\nRepair file: 3\nBrowser: some browser',
  );
  expect(report).toContain('Error: torn');
});
