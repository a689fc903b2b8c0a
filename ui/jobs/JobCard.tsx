import { router } from 'expo-router';
import { View, Text } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { useState } from 'react';

import { isOver, type Job } from '@core/record/model';
import { jobStateSentence } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { colours } from '../theme/colours';
import { useActOnJob } from './useJobs';

/** One job: where it is, and what can be done about it. */
export function JobCard({ job, onTry }: { job: Job; onTry?: (() => void) | undefined }) {
  const act = useActOnJob();
  const press = (what: Parameters<typeof act.mutate>[0]['act']) => act.mutate({ id: job.id, act: what });
  return (
    <View
      role="group"
      aria-label={`Job ${job.name}`}
      className="gap-2 rounded-lg border border-line bg-card p-3"
    >
      <Text className="font-medium text-[16px] text-ink">
        {`${job.name}${job.letter ? `, revision ${job.letter}` : ''}`}
      </Text>
      {isOver(job) ? null : <Progress share={job.share} />}
      <Text
        role="status"
        className={`font-sans text-[15px] leading-[21px] ${job.state === 'failed' ? 'text-rust' : 'text-ink'}`}
      >
        {jobStateSentence(job)}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        {job.state === 'running' ? <Button label="Pause" onPress={() => press('pause')} /> : null}
        {job.state === 'paused' ? <Button label="Go on" onPress={() => press('resume')} /> : null}
        {isOver(job) ? null : <Button tone="danger" label="Cancel the job" onPress={() => press('cancel')} />}
        {job.state === 'done' && onTry ? <Button label="Try it" onPress={onTry} /> : null}
        <Button
          tone="quiet"
          label="Look at its layers"
          onPress={() => router.push(`/repair/${job.repairId}/job?job=${job.id}`)}
        />
        {isOver(job) ? <Button tone="quiet" label="Make it again" onPress={() => press('again')} /> : null}
      </View>
    </View>
  );
}

const HEIGHT = 18;
const TICKS = 20;

/** What is done, as an engraved scale that is inked as far. */
function Progress({ share }: { share: number }) {
  const [width, setWidth] = useState(0);
  return (
    <View
      role="progressbar"
      aria-label="Done"
      aria-valuenow={Math.floor(100 * share)}
      onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
    >
      <Svg width={width} height={HEIGHT} aria-hidden>
        <Rect x={0} y={0} width={Math.max(0, width * share)} height={5} fill={colours.green.DEFAULT} />
        {Array.from({ length: TICKS + 1 }, (_, index) => {
          const x = Math.min(width - 0.5, Math.max(0.5, (index / TICKS) * width));
          const inked = index / TICKS <= share;
          return (
            <Line
              key={index}
              x1={x}
              x2={x}
              y1={0}
              y2={index % 5 === 0 ? 14 : 9}
              stroke={inked ? colours.green.DEFAULT : colours.rule}
              strokeWidth={1}
            />
          );
        })}
      </Svg>
    </View>
  );
}
