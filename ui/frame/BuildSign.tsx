import { Text, View } from 'react-native';
import { useEffect, useState } from 'react';

import { programFaultOf, programFaultSentence } from '@core/reporting/wording';
import { menuOf } from '@core/shaping/steps';

import { ReportSheet } from '../report/ReportSheet';
import { Button } from '../shared/Button';
import { Spinner } from '../shared/Spinner';
import { useBenchStatus, workbench } from '../solid/useSolid';
import type { BenchStatus } from '../solid/workbench';
import { useBuiltDraft } from '../inRepair/draft';
import { useFollowed } from '../part/followed';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';

/** A build shorter than this needs no sign, ms; one longer than the second can be stopped. */
const SIGN_AFTER_MS = 250;
const STOP_AFTER_MS = 2000;

/** Faults that are worth a second try with the same numbers. */
const AGAIN = new Set(['step.stopped', 'step.timedOut', 'step.kernelFailed']);

/** Says over the part what it is waiting for: the kernel, a build; or that the picture is out of date. */
export function BuildSign({
  empty,
  outOfDate,
  isFromBefore,
}: {
  empty: boolean;
  outOfDate: boolean;
  /** What is in view was built when the repair was last open. */
  isFromBefore: boolean;
}) {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const status = useBenchStatus();
  const isDraft = useBuiltDraft() !== null;
  const isFollowing = useFollowed(({ followed }) => followed !== null);
  const busy = status.kind === 'loading' || status.kind === 'building';
  const waited = useWaited(busy);

  const before = isFromBefore ? 'Last picture, not checked yet' : '';

  if (status.kind === 'failed')
    return <Sign tone="wrong" text={before ? `${before}. ${status.sentence}` : status.sentence} />;
  if (status.kind === 'broken') return <BrokenBuild status={status} />;
  if (isFollowing) return <Sign tone="plain" text="On its way: exact when you stop" />;
  if (busy && (waited >= 1 || isFromBefore)) {
    const step =
      status.kind === 'building'
        ? repair.bodies.flatMap((body) => body.steps).find(({ id }) => id === status.stepId)
        : undefined;
    const share = status.kind === 'loading' ? `: ${Math.round(status.share * 100)} %` : '';
    const text = before
      ? before + share
      : status.kind === 'loading'
        ? `Getting the solid builder${share}`
        : step
          ? `Building: ${menuOf(step.kind).verb} ${menuOf(step.kind).what}`
          : 'Building…';
    return (
      <Sign
        tone="busy"
        text={text}
        {...(waited >= 2 ? { act: { label: 'Stop', onPress: () => workbench.cancel() } } : {})}
      />
    );
  }
  if (before) return <Sign tone="busy" text={before} />;
  const stopped = solid.bodies.some((body) =>
    body.steps.some((step) => step.state === 'failed' && AGAIN.has(step.fault.code)),
  );
  const again = stopped ? { act: { label: 'Build again', onPress: solid.rebuild } } : {};
  if (outOfDate) return <Sign tone="wrong" text="Last sound part: a step fails since" {...again} />;
  if (stopped) return <Sign tone="wrong" text="The build was stopped" {...again} />;
  if (isDraft) return <Sign tone="plain" text="Tried, not kept" />;
  if (!empty || busy) return null;
  const waitsForSizes = repair.bodies.some((body) => !body.removed && body.steps.length > 0);
  return (
    <View pointerEvents="none" className="absolute inset-0 items-center justify-center px-10">
      <Text className="text-center font-medium text-[15px] leading-6 text-muted">
        {waitsForSizes
          ? 'The part appears here when its sizes are taken.'
          : 'The part appears here as you build it.'}
      </Text>
    </View>
  );
}

/** The builder itself went wrong: what is safe, and a report. */
function BrokenBuild({ status }: { status: Extract<BenchStatus, { kind: 'broken' }> }) {
  const { repair } = useRepairContext();
  const solid = useSolidView();
  const [reporting, setReporting] = useState(false);
  const body = repair.bodies.find(({ id }) => id === status.at?.bodyId);
  const place = body ? body.steps.findIndex(({ id }) => id === status.at?.stepId) + 1 : 0;
  const where = body && place > 0 ? `step ${place} of ${body.name}` : 'the building of the part';
  const fault = programFaultOf(status.thrown, where, status.when);
  return (
    <>
      <Sign
        tone="wrong"
        text={programFaultSentence(fault)}
        act={{ label: 'Report it', onPress: () => setReporting(true) }}
        other={{ label: 'Build again', onPress: solid.rebuild }}
      />
      {reporting ? <ReportSheet fault={fault} repair={repair} onClose={() => setReporting(false)} /> : null}
    </>
  );
}

function Sign({
  tone,
  text,
  act,
  other,
}: {
  tone: 'busy' | 'wrong' | 'plain';
  text: string;
  act?: { label: string; onPress(): void };
  other?: { label: string; onPress(): void };
}) {
  return (
    <View pointerEvents="box-none" className="absolute inset-x-0 top-2 items-center px-3">
      <View
        role="status"
        className={`flex-row flex-wrap items-center gap-2 rounded border px-3 py-1.5 ${tone === 'wrong' ? 'border-rust bg-rust-soft' : 'border-line bg-card'}`}
      >
        {tone === 'busy' ? <Spinner /> : null}
        <Text className={`font-medium text-[14px] ${tone === 'wrong' ? 'text-rust' : 'text-ink'}`}>
          {text}
        </Text>
        {act ? <Button {...act} /> : null}
        {other ? <Button {...other} /> : null}
      </View>
    </View>
  );
}

/** 0 at once, 1 when a sign is due, 2 when stopping is worth offering. */
function useWaited(busy: boolean): 0 | 1 | 2 {
  const [waited, setWaited] = useState<0 | 1 | 2>(0);
  useEffect(() => {
    if (!busy) return;
    const timers = [
      setTimeout(() => setWaited(1), SIGN_AFTER_MS),
      setTimeout(() => setWaited(2), STOP_AFTER_MS),
    ];
    return () => {
      timers.forEach(clearTimeout);
      setWaited(0);
    };
  }, [busy]);
  return waited;
}
