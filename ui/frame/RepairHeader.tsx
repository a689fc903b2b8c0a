import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import Undo from 'lucide-react-native/icons/undo-2';
import { router } from 'expo-router';
import { useEffect } from 'react';
import { Pressable, Text, View } from 'react-native';

import { newestRevision } from '@core/reporting/revision';

import { useNotices } from '../api/notices';
import { IconButton } from '../shared/Button';
import { colours } from '../theme/colours';
import { useRepairContext } from '../inRepair/useRepairContext';
import { NoticeCard, useNotice } from './NoticeBar';

/** So many letters stand in two lines in place of the name on a phone, beside what can be done. */
const SHORT = { undo: 36, dismiss: 46 };

/** Name of the repair, the way back, and the newest revision. */
export function RepairHeader() {
  const { repair } = useRepairContext();
  const newest = newestRevision(repair);
  const notice = useNotice();
  const { last, undo, leave } = useNotices();
  useEffect(() => leave, [leave, repair.head.id]);
  // A refusal, and what is too long to be read there, has a place of its own below.
  const isShort = notice?.tone === 'plain' && notice.text.length <= SHORT[notice.undo ? 'undo' : 'dismiss'];
  const said = isShort ? notice : null;
  return (
    <>
      <View className="min-h-[60px] flex-row items-center gap-1 pl-1.5 pr-4">
        <IconButton label="Back to the list of repairs" onPress={() => router.navigate('/')}>
          <ChevronLeft size={26} color={colours.ink} />
        </IconButton>
        <View className="flex-1">
          <Text
            role="heading"
            aria-level={1}
            numberOfLines={1}
            className="font-semibold text-[19px] text-ink"
          >
            {repair.head.name}
          </Text>
          {repair.head.place ? (
            <Text numberOfLines={1} className="font-label text-[13.5px] text-muted">
              {repair.head.place}
            </Text>
          ) : null}
          {said ? (
            // Over the name alone, which is no control.
            <View className="absolute inset-0 justify-center bg-paper">
              <NoticeCard notice={said} />
            </View>
          ) : null}
        </View>
        {last && !said ? (
          <IconButton label={`Undo: ${last.text}`} onPress={undo}>
            <Undo size={20} color={colours.ink} />
          </IconButton>
        ) : null}
        <Pressable
          accessibilityRole="link"
          accessibilityLabel={newest ? `Revisions, newest ${newest.letter}` : 'Revisions, none yet'}
          onPress={() => router.navigate(`/repair/${repair.head.id}/revisions`)}
          className="min-h-[44px] justify-center"
        >
          <View className={`rounded-sm border px-2 py-1 ${newest ? 'border-ink' : 'border-rule'}`}>
            <Text className={`font-number text-[13px] ${newest ? 'text-ink' : 'text-muted'}`}>
              {newest ? `Rev ${newest.letter}` : 'No rev'}
            </Text>
          </View>
        </Pressable>
      </View>
      {notice && !said ? (
        <View className="px-3 pb-1.5">
          <NoticeCard notice={notice} />
        </View>
      ) : null}
    </>
  );
}
