import { router } from 'expo-router';
import { useState } from 'react';

import { fileStem } from '@core/making/formats';
import { type Mishap, type NewJob } from '@core/record/model';
import { frozenLetter } from '@core/reporting/progress';
import { no, type Fault, type Result } from '@core/foundations/fault';
import { sentenceOf } from '@core/reporting/wording';

import { newId } from '../api/newId';
import { useNotices } from '../api/notices';
import { useRepairContext } from '../inRepair/useRepairContext';
import { namesOnBed } from './bedChoice';
import { askedOfBed, trialOfBed } from '../jobs/askedSizes';
import { useSendJob } from '../jobs/useJobs';
import { saveFile } from '../shared/saveFile';
import { workbench } from '../solid/useSolid';
import { layerWorker } from './layerWorker';

import type { PartPlacement, RequestedSpare, SliceRequest } from '@core/making/printing';
import { materialIn } from '@core/record/workshop';

/** What is done with a job that is printed: saved, or sent to the machine. */
export function useBedJob(onBed: readonly RequestedSpare[], request: SliceRequest) {
  const { repair, numbers } = useRepairContext();
  const { say } = useNotices();
  const [writing, setWriting] = useState(false);
  /** Share of the pictures that is drawn; null while none are. */
  const [drawn, setDrawn] = useState<number | null>(null);
  const sendJob = useSendJob();
  const { head } = repair;
  const made = namesOnBed(onBed);
  const when = () => new Date().toISOString();

  /** What is written in a worker; what stands in its way is said. */
  async function written<T>(write: () => Promise<Result<T, Fault>>): Promise<T | null> {
    setWriting(true);
    const reply = await write()
      .catch(() => null)
      .finally(() => setWriting(false));
    if (reply?.ok) return reply.value;
    say({
      tone: 'wrong',
      text: reply ? sentenceOf(reply.fault) : 'The G-code could not be written. Slice again, then save it.',
    });
    return null;
  }
  const gcode = () => written(() => layerWorker().gcode(`${head.name}, ${made}`, when()));

  const save = async () => {
    const text = await gcode();
    if (text === null) return;
    saveFile({
      name: `${fileStem(head.name, made)}.gcode`,
      mime: 'text/x-gcode',
      bytes: new TextEncoder().encode(text),
    });
  };
  /** Of a job in resin: each layer as a picture. @returns once it is saved, said or stopped. */
  const savePictures = async () => {
    setDrawn(0);
    const stack = await layerWorker()
      .pictures(`${head.name}, ${made}`, when(), setDrawn)
      .catch(() => no<Fault>({ code: 'slice.notLaid' }))
      .finally(() => setDrawn(null));
    if (!stack) return;
    if (stack.ok) {
      saveFile({ name: `${fileStem(head.name, made)}.zip`, mime: 'application/zip', bytes: stack.value });
    } else say({ tone: 'wrong', text: sentenceOf(stack.fault) });
  };
  const saveBed = async (placements: readonly PartPlacement[]) => {
    const lying = request.parts.map(({ bodyId }, index) => ({ bodyId, at: placements[index]!.at }));
    const file = await written(() => workbench.ask.bedFile(lying, when()));
    if (file) saveFile(file);
  };
  const send = async (how: { speedUp: number; mishap: Mishap }) => {
    const text = await gcode();
    if (text === null) return;
    const bodies = onBed.map(({ body }) => body);
    const job: NewJob = {
      id: newId(),
      repairId: head.id,
      bodyId: bodies[0]!.id,
      name: made,
      repairName: head.name,
      letter: frozenLetter(repair, numbers.workshop),
      machineId: request.machine.id,
      machineName: request.machine.name,
      materialId: head.materialId,
      family: materialIn(numbers.workshop, head.materialId).family,
      asked: askedOfBed(bodies, repair, numbers),
      trial: trialOfBed(bodies, repair, numbers),
      ...how,
    };
    await sendJob.mutateAsync({ job, gcode: text }).then(
      () => router.replace(`/repair/${head.id}/trial`),
      // It was said already.
      () => undefined,
    );
  };
  return { save, savePictures, drawn, saveBed, send, writing, sending: sendJob.isPending };
}
