import Papa from 'papaparse';

import { evaluateRepair } from '@core/fitting/fit';
import { SHEET_COLUMNS, sheetCsv, type SheetRow } from '@core/making/formats';
import type { Repair } from '@core/record/model';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { sheetRows } from '@core/reporting/numberWords';

const rowsOf = (repair: Repair) => sheetRows(repair, evaluateRepair(repair), 'mm');
const row = (fields: Partial<SheetRow>): SheetRow => ({
  ...(Object.fromEntries(SHEET_COLUMNS.map(({ key }) => [key, ''])) as unknown as SheetRow),
  ...fields,
});
const readBack = (csv: string) =>
  Papa.parse<string[]>(csv.replace(/^\uFEFF/, ''), { skipEmptyLines: true }).data;

describe('the sheet of sizes', () => {
  test('has a line for each size, with its readings, doubt, fit and working size', () => {
    const lines = rowsOf(rackWheel());
    expect(lines.map(({ tag }) => tag)).toEqual(['A', 'B', 'C', 'D', 'E', 'F']);
    expect(lines[1]).toEqual({
      tag: 'B',
      name: 'Axle it runs on',
      kind: 'measured',
      takenOn: 'counterpart',
      takenWith: 'outside',
      readings: '6.02; 6.01; 6.03',
      value: '6.02',
      uncertainty: '0.03',
      unit: 'mm',
      fit: expect.stringMatching(/^Bore on the axle: /),
      allowance: '+0.18',
      correction: '+0.12',
      working: '6.32',
    });
    expect(lines[3]).toMatchObject({ kind: 'chosen', value: '4.00', uncertainty: '' });
  });

  test('tells what was left out and why, formulas, and minus signs that programs can read', () => {
    const repair = new RepairDraft('x')
      .measured('A', 'Tube', ['20.00', '25.00'], { of: 'counterpart', jaw: 'inside' })
      .formula('B', 'Half', 'A / 2')
      .fit('plug', 'Plug', 'A', 'slides', 'peg').repair;
    repair.readings[1]!.leftOut = 'slipped';
    const [tube, half] = rowsOf(repair);
    expect(tube!.readings).toBe('20.00; 25.00 (left out: slipped)');
    expect(Number(tube!.allowance)).toBeLessThan(0);
    expect(half).toMatchObject({ kind: 'worked out', takenWith: 'A / 2', value: '10.00' });
  });

  test('a machined working size keeps its thousandths', () => {
    const repair = new RepairDraft('x')
      .measured('A', 'Shaft', ['25.00'], { of: 'counterpart' })
      .fit('f', 'Bore', 'A', 'turns').repair;
    repair.head.machineId = 'lathe-mill';
    repair.fits[0]!.iso = { hole: 'H7', shaft: 'g6' };
    expect(rowsOf(repair)[0]).toMatchObject({ fit: 'Bore: H7/g6', working: '25.024' });
  });

  test('a size with two fits has two lines, one without readings an empty value', () => {
    const repair = new RepairDraft('x')
      .measured('A', 'Pin', [])
      .fit('f', 'Bore', 'A', 'turns')
      .fit('g', 'Slot', 'A', 'loose', 'slot').repair;
    const lines = rowsOf(repair);
    expect(lines).toHaveLength(2);
    expect(lines[0]).toMatchObject({ value: '', working: '', uncertainty: '' });
  });
});

describe('as comma-separated values', () => {
  test('everything comes back as it went in, commas, quotes and new lines too', () => {
    const name = 'Rim, "outside"\nlower 5,5';
    const [headings, line] = readBack(sheetCsv([row({ tag: 'A', name, value: '38.20' })]));
    expect(headings).toEqual(SHEET_COLUMNS.map(({ heading }) => heading));
    expect(line![1]).toBe(name);
    expect(line![6]).toBe('38.20');
  });

  test.each(['=1+1', '+cmd', '-A1', '@SUM(A1)', '\t=1'])(
    'a name %j is no formula to a spreadsheet',
    (name) => {
      const cell = readBack(sheetCsv([row({ name })]))[1]![1]!;
      expect(cell.startsWith("'")).toBe(true);
      expect(cell.slice(1)).toBe(name);
    },
  );

  test('signed numbers stay numbers', () => {
    const line = readBack(sheetCsv([row({ allowance: '-0.12', correction: '+0.12' })]))[1]!;
    expect([line[10], line[11]]).toEqual(['-0.12', '+0.12']);
  });

  test('lines end as RFC 4180 says, and the file tells that it is UTF-8', () => {
    const csv = sheetCsv([row({ name: 'Größe' })]);
    expect(csv.charCodeAt(0)).toBe(0xfeff);
    expect(csv.endsWith('\r\n')).toBe(true);
    expect(csv.split('\r\n')).toHaveLength(3);
  });
});
