import { useState } from 'react';
import { ScrollView, Text } from 'react-native';

import { REPAIR_FILE_VERSION, writeRepairFile, type Repair } from '@core/record/model';
import { programFaultReport, programFaultSentence, type ProgramFault } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { saveFile } from '../shared/saveFile';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';

/** What went wrong in the program itself, to be copied or saved for whoever mends it. */
export function ReportSheet({
  fault,
  repair,
  onClose,
}: {
  fault: ProgramFault;
  /** Goes with it if the person agrees. */
  repair?: Repair | undefined;
  onClose(): void;
}) {
  const [withRepair, setWithRepair] = useState<'alone' | 'repair'>('alone');
  const [copied, setCopied] = useState<'' | 'yes' | 'no'>('');
  const report = programFaultReport(fault, {
    'Repair file': String(REPAIR_FILE_VERSION),
    Browser: navigator.userAgent,
  });
  const whole = () =>
    repair && withRepair === 'repair' ? `${report}\n${writeRepairFile({ repair }, fault.when)}\n` : report;
  const copy = () =>
    void navigator.clipboard.writeText(whole()).then(
      () => setCopied('yes'),
      () => setCopied('no'),
    );
  const save = () =>
    saveFile({
      name: `even-spare-fault-${fault.when.slice(0, 10)}.txt`,
      mime: 'text/plain',
      bytes: new TextEncoder().encode(whole()),
    });
  return (
    <Sheet title="A fault of the program" onClose={onClose}>
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`${programFaultSentence(fault)} This report helps to fix it; it stays on this device until you pass it on.`}
      </Text>
      {repair ? (
        <Switch<'alone' | 'repair'>
          label="What goes into it"
          options={[
            { id: 'alone', word: 'Only the report' },
            { id: 'repair', word: 'With this repair' },
          ]}
          value={withRepair}
          onChange={setWithRepair}
        />
      ) : null}
      <ScrollView
        horizontal
        accessibilityLabel="The report"
        className="max-h-[220px] rounded border border-line bg-card p-2"
      >
        <Text className="font-label text-[13px] leading-5 text-ink">{report}</Text>
      </ScrollView>
      {copied ? (
        <Text role="status" className="font-label text-[14px] text-muted">
          {copied === 'yes' ? 'Copied.' : 'It can’t be copied here: save it as a file instead.'}
        </Text>
      ) : null}
      <Button tone="primary" label="Copy the report" onPress={copy} />
      <Button label="Save it as a file" onPress={save} />
    </Sheet>
  );
}
