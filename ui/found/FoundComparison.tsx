import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';

import { FOUND_UNITS, type FoundFigures, type FoundUnit } from '@core/found';
import type { Body } from '@core/model';
import type { Compared } from '@core/revision';

import { useShow } from '../preferences/useShow';
import { Broken } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { FileButton } from '../shared/FileButton';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { workbench } from '../solid/useSolid';
import { FoundView } from './FoundView';
import type { FoundShown } from './protocol';
import { useFound, type FoundState, type ReadFile } from './useFound';

/** A spare beside a mesh that was scanned or found: where it is off, by how much, and what of it is missing. */
export function FoundComparison({ body, of }: { body: Body; of: Compared }) {
  const { state, read, lay, show, stop } = useFound(() =>
    workbench.ask.meshFrom(body.id, { state: of.state, workshop: of.workshop }),
  );
  const isBusy = state.kind === 'reading' || state.kind === 'laying';
  return (
    <View role="group" aria-label={`${body.name} beside a scanned piece`} className="gap-2">
      {isBusy ? null : (
        <FileButton
          label={
            state.kind === 'none'
              ? `Lay a scanned piece over ${body.name}`
              : `Lay another scanned piece over ${body.name}`
          }
          name={`Scanned piece for ${body.name}`}
          accept=".stl,.3mf,.obj,.ply,model/stl,model/3mf,model/obj"
          onChosen={(file) => void read(file)}
        />
      )}
      {isBusy ? <Busy state={state} onStop={stop} /> : null}
      {state.kind === 'refused' ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {state.sentence}
        </Text>
      ) : null}
      {state.kind === 'broken' ? <Broken fault={state.fault} onAgain={stop} /> : null}
      {state.kind === 'read' ? <UnitChoice file={state.file} onLay={lay} /> : null}
      {state.kind === 'laid' ? <Laid name={body.name} laid={state} show={show} /> : null}
    </View>
  );
}

function Busy({ state, onStop }: { state: FoundState; onStop(): void }) {
  const words =
    state.kind === 'laying'
      ? `Laying ${state.file.name} over it: ${(100 * state.share).toFixed(0)} %`
      : state.kind === 'reading'
        ? `Reading ${state.name}.`
        : '';
  return (
    <View className="flex-row items-center justify-between gap-3">
      <Text role="status" className="flex-1 font-sans text-[15px] leading-6 text-ink">
        {words}
      </Text>
      <Button label="Stop" onPress={onStop} />
    </View>
  );
}

const UNIT_WORDS: Record<FoundUnit, string> = { mm: 'mm', cm: 'cm', inch: 'inches', m: 'metres' };

/** A file's numbers stand for nothing until somebody says what one of them is. */
function UnitChoice({ file, onLay }: { file: ReadFile; onLay(file: ReadFile, unitMm: number): void }) {
  const show = useShow();
  const [unit, setUnit] = useState<FoundUnit>(file.likely.unit);
  const unitMm = file.unitMm ?? FOUND_UNITS[unit];
  const box = file.box.map((value) => show.length(value * unitMm)).join(' × ');
  return (
    <View className="gap-2">
      <Text className="font-sans text-[16px] leading-6 text-ink">
        {`${file.name}: ${file.triangles} triangles, ${box}.`}
      </Text>
      {file.unitMm === null ? (
        <>
          <Text className="font-label text-[14px] text-muted">
            {file.likely.isAlike
              ? 'The file does not say its unit. By the size of the spare it is most likely this one:'
              : 'The file does not say its unit, and in none of these is it about as large as the spare. Is it this piece?'}
          </Text>
          <Switch<FoundUnit>
            label="Unit of the file"
            options={(Object.keys(FOUND_UNITS) as FoundUnit[]).map((id) => ({ id, word: UNIT_WORDS[id] }))}
            value={unit}
            onChange={setUnit}
          />
        </>
      ) : null}
      <View className="items-start">
        <Button tone="primary" label="Lay it over the spare" onPress={() => onLay(file, unitMm)} />
      </View>
    </View>
  );
}

const LIMITS = [
  { id: '0.05', word: '0.05' },
  { id: '0.1', word: '0.1' },
  { id: '0.2', word: '0.2' },
  { id: '0.5', word: '0.5' },
] as const;
type Limit = (typeof LIMITS)[number]['id'];

const RULES = [
  { id: 'agrees', word: 'By what agrees' },
  { id: 'all', word: 'By all of it' },
] as const;
type Rule = (typeof RULES)[number]['id'];

function Laid({
  name,
  laid: { spare, ways },
  show,
}: {
  name: string;
  laid: FoundState & { kind: 'laid' };
  show(way: number, byAll: boolean, withinMm: number): Promise<FoundShown>;
}) {
  const [limit, setLimit] = useState<Limit>('0.2');
  const [rule, setRule] = useState<Rule>('agrees');
  const [way, setWay] = useState(0);
  const [shown, setShown] = useState<FoundShown | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    let isCurrent = true;
    show(way, rule === 'all', Number(limit)).then(
      (next) => isCurrent && setShown(next),
      () => isCurrent && setFailed(true),
    );
    return () => {
      isCurrent = false;
    };
  }, [show, way, rule, limit]);
  return (
    <View className="gap-2">
      <GroupHeading>{`${name} beside the scanned piece`}</GroupHeading>
      {failed ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          They could not be compared. Choose the file again.
        </Text>
      ) : null}
      {shown ? (
        <>
          <Told figures={shown.figures} />
          <FoundView spare={spare} shown={shown} name={name} />
        </>
      ) : failed ? null : (
        <Text role="status" className="font-sans text-[15px] text-ink">
          Comparing them.
        </Text>
      )}
      <Text className="font-label text-[14px] text-muted">What is off by more than this is shown, mm</Text>
      <Switch<Limit> label="What counts as off, mm" options={LIMITS} value={limit} onChange={setLimit} />
      <Text className="font-label text-[14px] text-muted">
        Laid by what agrees, so that what wore or broke moves nothing; or as near as all of it comes
      </Text>
      <Switch<Rule> label="How it is laid" options={RULES} value={rule} onChange={setRule} />
      {ways > 1 ? (
        <View className="items-start">
          <Button
            label={`Lay it another way round (${way + 1} of ${ways})`}
            onPress={() => setWay((way + 1) % ways)}
          />
        </View>
      ) : null}
    </View>
  );
}

/** What a share is, without saying all or nothing of what is neither. */
const percent = (share: number) =>
  share > 0 && share < 0.01
    ? 'less than 1 %'
    : share < 1 && share > 0.99
      ? 'more than 99 %'
      : `${(100 * share).toFixed(0)} %`;

/** Less of a spare than this may be what scanners leave out of corners. */
const LEAST_MISSING = 0.005;

function Told({ figures }: { figures: FoundFigures }) {
  const show = useShow();
  const { withinMm, shareOn, mostlyMm, middleMm, furthestOut, furthestIn, shareMissing } = figures;
  const sentences = [
    `${percent(shareOn)} of it lies within ${show.length(withinMm)} of the spare; nineteen of twenty places are off by ${show.length(mostlyMm)} at most.`,
    Math.abs(middleMm) > withinMm / 4
      ? `All over it is ${show.length(Math.abs(middleMm))} ${middleMm > 0 ? 'larger' : 'smaller'}, in the middle of its places.`
      : '',
    furthestOut
      ? `Furthest out of the spare by ${show.length(furthestOut.mm)}: hatched, at the green ring.`
      : '',
    furthestIn
      ? `Furthest within it by ${show.length(furthestIn.mm)}: hatched crosswise, at the red ring.`
      : '',
    shareMissing > LEAST_MISSING
      ? `${percent(shareMissing)} of the spare has nothing of it near: that broke off, wore away, or was not scanned.`
      : '',
  ];
  return (
    <View role="status" aria-label="What is off" className="gap-1">
      {sentences.filter(Boolean).map((sentence) => (
        <Text key={sentence} className="font-sans text-[16px] leading-6 text-ink">
          {sentence}
        </Text>
      ))}
    </View>
  );
}
