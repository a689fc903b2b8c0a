import { Text } from 'react-native';

import type { PartPlacement, SliceRequest } from '@core/making/printing';

import { Button } from '../shared/Button';
import { layerWorker } from './layerWorker';
import type { useBedJob } from './useBedJob';

/** What is done with the job: sent to the machine, or saved. */
export function JobActions({
  request,
  job,
  isSliced,
  isAsking,
  onSend,
  placements,
}: {
  request: SliceRequest;
  job: ReturnType<typeof useBedJob>;
  isSliced: boolean;
  /** How it is sent is being asked. */
  isAsking: boolean;
  onSend(): void;
  placements: readonly PartPlacement[];
}) {
  const inResin = request.resin;
  return (
    <>
      {inResin ? (
        <>
          <Text className="font-label text-[14px] leading-5 text-muted">
            {`${request.machine.name} can’t be sent jobs from here: save the layers and carry them to it.`}
          </Text>
          <Button
            tone="primary"
            label={
              job.drawn === null
                ? 'Save the layers (ZIP of pictures)'
                : `Drawing the layers, ${(100 * job.drawn).toFixed(0)} %`
            }
            busy={job.drawn !== null}
            disabled={!isSliced}
            onPress={() => void job.savePictures()}
          />
        </>
      ) : (
        <>
          <Button
            tone="primary"
            label={`Send it to ${request.machine.name}`}
            disabled={!isSliced}
            onPress={onSend}
          />
          <Button
            label="Save G-code"
            busy={job.writing && !isAsking}
            disabled={!isSliced}
            onPress={() => void job.save()}
          />
        </>
      )}
      {job.drawn === null ? null : <Button label="Stop" onPress={() => void layerWorker().cancel()} />}
      <Button
        label="Save the bed (3MF)"
        busy={job.writing && !isAsking}
        disabled={!isSliced}
        onPress={() => void job.saveBed(placements)}
      />
    </>
  );
}
