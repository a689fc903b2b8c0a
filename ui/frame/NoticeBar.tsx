import { useEffect } from 'react';
import { Text, View } from 'react-native';

import { useNotices } from '../api/notices';
import { usePartTool } from '../part/partTool';
import { Button } from '../shared/Button';

/** How long an offer to undo stays, ms. Deleted things can also be brought back where they stood. */
const STAYS_MS = 12_000;

/**
 * Says what was just done or refused, and offers to take it back. It lies at the top of what it stands in, which is the picture of the part
 * where there is one: neither a list nor an action is covered, and nothing moves under a finger.
 */
export function NoticeBar() {
  const { notice, dismiss } = useNotices();
  // What is being picked, measured or pointed at has its own bar at the top.
  const isTopTaken = usePartTool(
    ({ job, measuring, stage, pointing }) => !!(job ?? stage ?? pointing) || measuring,
  );
  useEffect(() => {
    if (!notice || notice.tone === 'wrong') return;
    const timer = setTimeout(dismiss, STAYS_MS);
    return () => clearTimeout(timer);
  }, [notice, dismiss]);
  if (!notice) return null;
  const { undo } = notice;
  return (
    <View
      pointerEvents="box-none"
      className={`absolute inset-x-0 z-10 items-center px-3 ${isTopTaken ? 'bottom-14' : 'top-2'}`}
    >
      <View
        role={notice.tone === 'wrong' ? 'alert' : 'status'}
        className={`w-full max-w-[440px] flex-row items-center gap-2 rounded-lg py-1.5 pl-4 pr-1.5 ${
          notice.tone === 'wrong' ? 'border border-rust bg-rust-soft' : 'bg-ink'
        }`}
      >
        <Text
          className={`flex-1 font-medium text-[15px] ${notice.tone === 'wrong' ? 'text-rust' : 'text-card'}`}
        >
          {notice.text}
        </Text>
        {undo ? (
          <Button
            label="Undo"
            onPress={() => {
              undo();
              dismiss();
            }}
          />
        ) : (
          <Button label="Dismiss" onPress={dismiss} />
        )}
      </View>
    </View>
  );
}
