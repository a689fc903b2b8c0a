import { router } from 'expo-router';
import { useMemo } from 'react';
import { ScrollView, Text, View } from 'react-native';

import { fileStem, SHEET_COLUMNS, sheetCsv, type SheetRow } from '@core/making/formats';
import { sheetRows } from '@core/reporting/numberWords';

import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Heading } from '../../shared/Heading';
import { saveFile } from '../../shared/saveFile';

/** Columns that hold numbers stand to the right. */
const NUMBERS = new Set<keyof SheetRow>(['value', 'uncertainty', 'allowance', 'correction', 'working']);
const WIDTHS: Partial<Record<keyof SheetRow, number>> = {
  tag: 44,
  name: 170,
  readings: 190,
  fit: 190,
  unit: 50,
};

/** All sizes with their readings, doubts, fits and working sizes, to print or to take elsewhere. */
export function SizeSheetScreen() {
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const rows = useMemo(() => sheetRows(repair, numbers, show.unit), [repair, numbers, show.unit]);
  const saveCsv = () =>
    saveFile({
      name: `${fileStem(repair.head.name, 'sizes')}.csv`,
      mime: 'text/csv',
      bytes: new TextEncoder().encode(sheetCsv(rows)),
    });
  return (
    <View className="flex-1 bg-paper">
      <View className="no-print flex-row flex-wrap items-center gap-2 px-4 py-2">
        <Button tone="primary" label="Print" onPress={() => window.print()} />
        <Button label="Save as CSV" onPress={saveCsv} />
        <Button label="Back to the sizes" onPress={() => router.replace(`/repair/${repair.head.id}/sizes`)} />
      </View>
      {/* Both can be scrolled from a keyboard. */}
      <ScrollView tabIndex={0} accessibilityLabel="The sheet, up and down">
        <ScrollView
          horizontal
          tabIndex={0}
          accessibilityLabel="The sheet, to the side"
          contentContainerClassName="p-4"
        >
          <View className="print-sheet gap-2">
            <Heading>{`Sizes of ${repair.head.name}`}</Heading>
            <View role="table" aria-label={`Sizes of ${repair.head.name}`}>
              <View role="row" className="flex-row border-b border-ink">
                {SHEET_COLUMNS.map(({ key, heading }) => (
                  <Cell key={key} column={key} text={heading} header />
                ))}
              </View>
              {rows.map((row, index) => (
                <View key={index} role="row" className="flex-row border-b border-line">
                  {SHEET_COLUMNS.map(({ key }) => (
                    <Cell key={key} column={key} text={row[key]} />
                  ))}
                </View>
              ))}
            </View>
          </View>
        </ScrollView>
      </ScrollView>
    </View>
  );
}

function Cell({ column, text, header = false }: { column: keyof SheetRow; text: string; header?: boolean }) {
  const number = NUMBERS.has(column);
  return (
    <View
      role={header ? 'columnheader' : 'cell'}
      className="justify-center px-1.5 py-1.5"
      style={{ width: WIDTHS[column] ?? 96 }}
    >
      <Text
        className={`text-[13.5px] ${header ? 'font-number text-muted' : number ? 'font-number tabular-nums text-ink' : 'font-label text-ink'} ${number ? 'text-right' : ''} ${column === 'working' && !header ? 'text-[15px]' : ''}`}
      >
        {text}
      </Text>
    </View>
  );
}
