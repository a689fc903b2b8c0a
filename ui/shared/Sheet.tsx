import X from 'lucide-react-native/icons/x';
import { Modal, Pressable, ScrollView, View } from 'react-native';

import { colours } from '../theme/colours';
import { IconButton } from './Button';
import { Heading } from './Heading';
import { useWide } from './useWide';

/** Something to settle before going on: from below on a phone, in the middle of a wide screen. */
export function Sheet({
  title,
  isExplained = false,
  onClose,
  children,
}: {
  title: string;
  /** The title is what the sheet itself explains: it gets no mark. */
  isExplained?: boolean;
  onClose(): void;
  children: React.ReactNode;
}) {
  const wide = useWide();
  return (
    <Modal
      transparent
      animationType={wide ? 'fade' : 'slide'}
      onRequestClose={onClose}
      accessibilityLabel={title}
    >
      <View className={`flex-1 ${wide ? 'items-center justify-center' : 'justify-end'}`}>
        <Pressable aria-hidden tabIndex={-1} onPress={onClose} className="absolute inset-0 bg-ink/30" />
        <View className={`max-h-[82%] bg-paper ${wide ? 'w-[460px] rounded-lg' : 'w-full rounded-t-lg'}`}>
          <View className="flex-row items-center justify-between border-b border-line py-1.5 pl-4 pr-1.5">
            <Heading isExplained={isExplained}>{title}</Heading>
            <IconButton label="Close" onPress={onClose}>
              <X size={22} color={colours.ink} />
            </IconButton>
          </View>
          <ScrollView contentContainerClassName="gap-4 p-4 pb-6" keyboardShouldPersistTaps="handled">
            {children}
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}
