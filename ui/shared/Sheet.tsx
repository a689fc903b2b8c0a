import X from 'lucide-react-native/icons/x';
import { Modal, Pressable, ScrollView, View } from 'react-native';

import { PadHost } from './pad/PadHost';
import { usePreferences } from '../preferences/usePreferences';
import { colours } from '../theme/colours';
import { IconButton } from './Button';
import { Heading } from './Heading';
import { useWide } from './useWide';

/** On a wide screen a sheet lies in its middle, or over the column that stands beside the part. */
const WIDE_PLACE = { middle: 'items-center justify-center', beside: 'items-start justify-end p-4' } as const;

/** Something to settle before going on: from below on a phone, in the middle of a wide screen. */
export function Sheet({
  title,
  isExplained = false,
  showsPart = false,
  onClose,
  children,
}: {
  title: string;
  /** The title is what the sheet itself explains: it gets no mark. */
  isExplained?: boolean;
  /** What is chosen in it is seen on the part, which it leaves in view. */
  showsPart?: boolean;
  onClose(): void;
  children: React.ReactNode;
}) {
  const wide = useWide();
  const isLeft = usePreferences(({ hand }) => hand) === 'left';
  return (
    <Modal
      transparent
      animationType={wide ? 'fade' : 'slide'}
      onRequestClose={onClose}
      accessibilityLabel={title}
    >
      <View className={`flex-1 ${wide ? WIDE_PLACE[showsPart ? 'beside' : 'middle'] : 'justify-end'}`}>
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          className={`absolute inset-0 ${showsPart ? 'bg-shade/10' : 'bg-shade/30'}`}
        />
        <View
          className={`bg-paper ${showsPart && !wide ? 'max-h-[62%]' : 'max-h-[82%]'} ${
            wide ? 'w-[460px] rounded-lg' : 'w-full rounded-t-lg'
          }`}
        >
          <View
            className={`items-center border-b border-line py-1.5 ${
              isLeft ? 'flex-row-reverse justify-end pl-1.5 pr-4' : 'flex-row justify-between pl-4 pr-1.5'
            }`}
          >
            <Heading isExplained={isExplained}>{title}</Heading>
            <IconButton label="Close" onPress={onClose}>
              <X size={22} color={colours.ink} />
            </IconButton>
          </View>
          <PadHost>
            <ScrollView contentContainerClassName="gap-4 p-4 pb-6" keyboardShouldPersistTaps="handled">
              {children}
            </ScrollView>
          </PadHost>
        </View>
      </View>
    </Modal>
  );
}
