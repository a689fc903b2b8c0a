import { Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import type { Compared } from '@core/reporting/revision';
import { sentenceOf } from '@core/reporting/wording';

import { Broken } from '../report/ScreenBoundary';
import { Button } from '../shared/Button';
import { FileButton } from '../shared/FileButton';
import { workbench } from '../solid/useSolid';
import { Busy } from './Busy';
import { KeepScan } from './KeepScan';
import { KeptScans } from './KeptScans';
import { AlignedScan } from './AlignedScan';
import { PointPlaces } from './PointPlaces';
import { UnitChoice } from './UnitChoice';
import { useFound } from './useFound';

/** A spare beside a mesh that was scanned or found: where it is off, by how much, and what of it is missing. */
export function FoundComparison({ body, of }: { body: Body; of: Compared }) {
  const { state, read, open, lay, point, layBy, show, keepable, isKept, stop } = useFound(() =>
    workbench.ask.meshFrom(body.id, { state: of.state, workshop: of.workshop }),
  );
  // What could not be laid by itself.
  const pointable = state.kind === 'refused' ? state.file : null;
  const isBusy = state.kind === 'reading' || state.kind === 'laying';
  return (
    <View role="group" aria-label={`${body.name} beside a scanned piece`} className="gap-2">
      {isBusy ? null : <KeptScans body={body} onOpen={(scan) => void open(scan)} />}
      {isBusy ? null : (
        <FileButton
          label={
            state.kind === 'none'
              ? `Compare a scanned piece with ${body.name}`
              : `Compare another scanned piece with ${body.name}`
          }
          name={`Scanned piece for ${body.name}`}
          accept=".stl,.3mf,.obj,.ply,model/stl,model/3mf,model/obj"
          onChosen={(file) => void read(file)}
        />
      )}
      {state.kind === 'reading' ? <Busy words={`Reading ${state.name}.`} onStop={stop} /> : null}
      {state.kind === 'laying' ? (
        <Busy
          words={`Laying ${state.file.name} over it: ${(100 * state.share).toFixed(0)} %`}
          onStop={stop}
        />
      ) : null}
      {state.kind === 'refused' ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {sentenceOf(state.fault)}
        </Text>
      ) : null}
      {state.kind === 'away' ? (
        <Text role="alert" className="font-medium text-[15px] leading-6 text-rust">
          {`${state.scan.name} could not be fetched. Compare it again when the server is back.`}
        </Text>
      ) : null}
      {pointable ? (
        <View className="items-start">
          <Button label="Point at three places on both" onPress={() => void point(pointable)} />
        </View>
      ) : null}
      {state.kind === 'pointing' ? (
        <PointPlaces
          name={body.name}
          pointing={state}
          onLay={(pairs) => void layBy(state.file, pairs)}
          onStop={stop}
        />
      ) : null}
      {state.kind === 'broken' ? <Broken fault={state.fault} onAgain={stop} /> : null}
      {state.kind === 'read' ? <UnitChoice file={state.file} onLay={lay} /> : null}
      {state.kind === 'laid' ? (
        <AlignedScan
          name={body.name}
          laid={state}
          show={show}
          onPoint={() => void point(state.file)}
          onStop={stop}
          keep={(as) => <KeepScan body={body} laid={state} as={as} keepable={keepable} onKept={isKept} />}
        />
      ) : null}
    </View>
  );
}
