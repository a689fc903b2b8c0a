import { chanceWords, shareWords } from '@core/reporting/wording';

import { mm2, mmToHundredth, percent } from './amounts';

test('amounts are rounded as they are said, by hand', () => {
  expect(mmToHundredth(6.2549)).toBe('6.25 mm');
  expect([mm2(3.44), mm2(355.4)]).toEqual(['3.4 mm²', '355 mm²']);
  expect([percent(0.0234, 1), percent(0.943)]).toEqual(['2.3 %', '94 %']);
});

test('a chance is never certain, and a share is all or nothing only where it is', () => {
  expect([0, 0.004, 0.5, 0.996, 1].map(chanceWords)).toEqual(['1 %', '1 %', '50 %', '99 %', '99 %']);
  expect([0, 0.004, 0.5, 0.996, 1].map(shareWords)).toEqual([
    '0 %',
    'less than 1 %',
    '50 %',
    'more than 99 %',
    '100 %',
  ]);
});
