import { evaluateRepair } from '@core/fitting/fit';
import { fitValue, numberValue, sizeValue } from '@core/record/model';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { showIn } from '../preferences/useShow';
import { describeRow } from './describeRow';
import { labelOf, lengthOf } from './labelOf';

describe('what a number says of itself', () => {
  const numbers = evaluateRepair(rackWheel());
  const label = (value: ReturnType<typeof numberValue>) =>
    labelOf({ value, mm: lengthOf(value, numbers) }, numbers, showIn('mm'));

  test('a measured size: its tag, in the tone of measured numbers', () => {
    expect(label(sizeValue('a'))).toEqual({
      tag: 'A',
      number: '38.20',
      tone: 'measured',
      spoken: 'A, Rim, outside, 38.20 mm',
    });
  });
  test('a working size: the tag of the counterpart’s size it came from', () => {
    expect(label(fitValue('bore'))).toMatchObject({ tag: 'B', number: '6.32', tone: 'working' });
  });
  test('a typed number has no tag, a chosen one is not called measured', () => {
    expect(label(numberValue(0.4))).toMatchObject({ tag: null, number: '0.40', tone: 'typed' });
    expect(label(sizeValue('d'))).toMatchObject({ tag: 'D', tone: 'typed' });
  });
  test('one that is lost or not taken yet says so', () => {
    expect(label(sizeValue('gone'))).toMatchObject({ tag: null, number: '?' });
    const wanted = evaluateRepair(new RepairDraft('x').measured('A', 'Rim', []).repair);
    expect(lengthOf(sizeValue('a'), wanted)).toBeNull();
    expect(labelOf({ value: sizeValue('a'), mm: null }, wanted, showIn('mm')).spoken).toContain(
      'not known yet',
    );
  });
});

describe('two versions of a row', () => {
  const fit = rackWheel().fits[0]!;

  test('differ in the fields that people know; version and ids are left out', () => {
    expect(
      describeRow({ ...fit, version: 3, fitClass: 'snug' }, { ...fit, version: 9, fitClass: 'loose' }),
    ).toEqual([{ what: 'how freely', mine: 'snug', theirs: 'loose' }]);
  });
  test('deleted on one side', () => {
    expect(describeRow(fit, { ...fit, removed: true })).toEqual([
      { what: 'deleted', mine: 'no', theirs: 'yes' },
    ]);
  });
  test('recipes are told by their number of steps', () => {
    const body = rackWheel().bodies[0]!;
    expect(describeRow(body, { ...body, steps: body.steps.slice(0, 1) })).toEqual([
      { what: 'steps', mine: '5', theirs: '1' },
    ]);
  });
  test('a row that is not there on the other side', () => {
    expect(describeRow({ name: 'Rim' }, null)).toEqual([{ what: 'name', mine: 'Rim', theirs: 'nothing' }]);
  });
});
