import X from 'lucide-react-native/icons/x';
import { useEffect } from 'react';
import { Text, View } from 'react-native';

import { useNotices, type Notice } from '../api/notices';
import { Button, IconButton } from '../shared/Button';
import { colours } from '../theme/colours';

/** How long a notice stays, ms. Its undo can be had after that too. */
const STAYS_MS = 8_000;

/** The notice that is said now; a plain one goes by itself. */
export function useNotice(): Notice | null {
  const { notice, dismiss } = useNotices();
  useEffect(() => {
    if (!notice || notice.tone === 'wrong') return;
    const timer = setTimeout(dismiss, STAYS_MS);
    return () => clearTimeout(timer);
  }, [notice, dismiss]);
  return notice;
}

/** Says what was just done or refused, and offers to take it back. It has a place of its own: it lies over nothing. */
export function NoticeBar() {
  const notice = useNotice();
  return notice ? (
    <View className="px-3 py-1.5">
      <NoticeCard notice={notice} />
    </View>
  ) : null;
}

export function NoticeCard({ notice }: { notice: Notice }) {
  const { dismiss, undo } = useNotices();
  const isWrong = notice.tone === 'wrong';
  return (
    <View
      role={isWrong ? 'alert' : 'status'}
      className={`w-full flex-row items-center gap-2 rounded py-1 pl-3 pr-1 ${
        isWrong ? 'border border-rust bg-rust-soft' : 'bg-ink'
      }`}
    >
      <Text
        className={`flex-1 font-medium text-[14px] leading-[18px] ${isWrong ? 'text-rust' : 'text-card'}`}
      >
        {notice.text}
      </Text>
      {notice.undo ? (
        <Button label="Undo" onPress={undo} />
      ) : (
        <IconButton label="Dismiss" onPress={dismiss}>
          <X size={20} color={isWrong ? colours.rust.DEFAULT : colours.card} />
        </IconButton>
      )}
    </View>
  );
}
