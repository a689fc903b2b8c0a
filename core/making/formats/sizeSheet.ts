import Papa from 'papaparse';

/** One line of the sheet of sizes, in words and numbers as they are to be shown. */
export interface SheetRow {
  tag: string;
  name: string;
  kind: string;
  takenOn: string;
  takenWith: string;
  readings: string;
  value: string;
  uncertainty: string;
  unit: string;
  fit: string;
  allowance: string;
  correction: string;
  working: string;
}

/** Headings of the sheet, in its order. */
export const SHEET_COLUMNS: readonly { key: keyof SheetRow; heading: string }[] = [
  { key: 'tag', heading: 'Tag' },
  { key: 'name', heading: 'Name' },
  { key: 'kind', heading: 'Known by' },
  { key: 'takenOn', heading: 'Taken on' },
  { key: 'takenWith', heading: 'Taken with' },
  { key: 'readings', heading: 'Readings' },
  { key: 'value', heading: 'Value' },
  { key: 'uncertainty', heading: 'Plus or minus' },
  { key: 'unit', heading: 'Unit' },
  { key: 'fit', heading: 'Fit' },
  { key: 'allowance', heading: 'Allowance' },
  { key: 'correction', heading: 'Machine correction' },
  { key: 'working', heading: 'Working size' },
];

/** Cells that a spreadsheet would take for a formula are kept as text. */
const asText = (cell: string) => (/^[=+\-@\t]/.test(cell) && !isNumber(cell) ? `'${cell}` : cell);
const isNumber = (cell: string) => /^[+-]?\d+([.,]\d+)?$/.test(cell);

/** The sheet as comma-separated values (RFC 4180), with a mark in front that tells programs it is UTF-8. */
export function sheetCsv(rows: readonly SheetRow[]): string {
  const table = [
    SHEET_COLUMNS.map(({ heading }) => heading),
    ...rows.map((row) => SHEET_COLUMNS.map(({ key }) => asText(row[key]))),
  ];
  return `\uFEFF${Papa.unparse(table, { newline: '\r\n' })}\r\n`;
}
