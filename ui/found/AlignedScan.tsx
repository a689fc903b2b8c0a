import { useEffect, useState } from 'react';
import { Text, View } from 'react-native';

import { Button } from '../shared/Button';
import { GroupHeading } from '../shared/Heading';
import { Switch } from '../shared/Switch';
import { Busy } from './Busy';
import { FoundView } from './FoundView';
import type { FoundShown } from './protocol';
import type { FoundState, AlignedAs, useFound } from './useFound';
import { WhatIsOff } from './WhatIsOff';

const LIMITS = [
  { id: '0.05', word: '0.05' },
  { id: '0.1', word: '0.1' },
  { id: '0.2', word: '0.2' },
  { id: '0.5', word: '0.5' },
] as const;
type Limit = (typeof LIMITS)[number]['id'];

const RULES = [
  { id: 'agrees', word: 'By matching places' },
  { id: 'all', word: 'By the whole piece' },
] as const;
type Rule = (typeof RULES)[number]['id'];

/** A scanned piece as it is laid over the spare, with what can be chosen of it. */
export function AlignedScan({
  name,
  laid: { spare, ways, isSure },
  show,
  onPoint,
  onStop,
  keep,
}: {
  name: string;
  laid: FoundState & { kind: 'laid' };
  show: ReturnType<typeof useFound>['show'];
  onPoint(): void;
  onStop(): void;
  /** What keeps the scan as it is aligned. */
  keep(as: AlignedAs): React.ReactNode;
}) {
  const [limit, setLimit] = useState<Limit>('0.2');
  const [rule, setRule] = useState<Rule>('agrees');
  const [way, setWay] = useState(0);
  const [shown, setShown] = useState<FoundShown | null>(null);
  const [share, setShare] = useState<number | null>(null);
  useEffect(() => {
    let isCurrent = true;
    setShare(0);
    const onShare = (next: number) => isCurrent && setShare(next);
    void show(way, rule === 'all', Number(limit), onShare).then((next) => {
      if (!isCurrent) return;
      setShare(null);
      if (next) setShown(next);
    });
    return () => {
      isCurrent = false;
    };
  }, [show, way, rule, limit]);
  return (
    <View className="gap-2">
      <GroupHeading>{`${name} beside the scanned piece`}</GroupHeading>
      {shown ? (
        <>
          <WhatIsOff figures={shown.figures} />
          <FoundView spare={spare} shown={shown} name={name} />
        </>
      ) : null}
      {share === null || (shown && share === 0) ? null : (
        <Busy words={`Comparing them: ${(100 * share).toFixed(0)} %`} onStop={onStop} />
      )}
      <Text className="font-label text-[14px] text-muted">Show deviations above, mm</Text>
      <Switch<Limit> label="Show deviations above, mm" options={LIMITS} value={limit} onChange={setLimit} />
      <Text className="font-label text-[14px] text-muted">
        Aligned by what matches, so that worn or broken places do not pull it; or by the whole piece
      </Text>
      <Switch<Rule> label="Alignment" options={RULES} value={rule} onChange={setRule} />
      {isSure ? null : (
        <Text role="alert" className="font-medium text-[15px] leading-[22px] text-rust">
          Check: too little of the piece matches to be sure of its position. If it is not where it broke off,
          mark three places on both, or scan more of it.
        </Text>
      )}
      <View className="flex-row flex-wrap gap-2">
        {ways > 1 ? (
          <Button
            label={`Turn it another way round (${way + 1} of ${ways})`}
            onPress={() => setWay((way + 1) % ways)}
          />
        ) : null}
        <Button label="Align by three places" onPress={onPoint} />
      </View>
      {keep({ way, byAll: rule === 'all' })}
    </View>
  );
}
