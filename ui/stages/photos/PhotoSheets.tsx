import { router } from 'expo-router';

import { isKnown } from '@core/measuring/measure';
import type { Photo, PhotoMark, PhotoTag } from '@core/record/model';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { openSize } from '../../inRepair/opened';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { EmptyState } from '../../shared/EmptyState';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { MarkWords } from './Marks';

/** What is at a place of a photo that was tapped: words of one's own, or a size. */
export function PlaceSheet({
  photo,
  place,
  onClose,
}: {
  photo: Photo;
  /** Shares of its width and height. */
  place: { x: number; y: number };
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const marks = photo.marks ?? [];
  const sizes = [...numbers.sizes.values()];
  return (
    <Sheet title="What is here?" onClose={onClose}>
      <MarkWords
        onTake={(words) => {
          const mark = { id: newId(), words, ...place };
          put('photo', { ...photo, marks: [...marks, mark] }, `“${words}” is marked.`);
          onClose();
        }}
      />
      <GroupHeading>Or a size that is taken here</GroupHeading>
      {sizes.length === 0 ? (
        <EmptyState
          text="There is no size yet. Add one on the Sizes stage, then place its tag here."
          action={{
            label: 'Go to Sizes',
            onPress: () => router.replace(`/repair/${repair.head.id}/sizes`),
          }}
        />
      ) : null}
      {sizes.map(({ size, result }) => (
        <ChoiceRow
          key={size.id}
          tag={size.tag}
          title={size.name}
          number={isKnown(result) ? show.value(result.value, size.quantity) : 'to take'}
          onPress={() => {
            const others = photo.tags.filter(({ sizeId }) => sizeId !== size.id);
            const tag = { id: newId(), sizeId: size.id, ...place };
            put('photo', { ...photo, tags: [...others, tag] }, `Tag ${size.tag} is placed.`);
            onClose();
          }}
        />
      ))}
    </Sheet>
  );
}

/** Words on a photo, to be taken off. */
export function MarkSheet({ photo, mark, onClose }: { photo: Photo; mark: PhotoMark; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const marks = photo.marks ?? [];
  return (
    <Sheet title={mark.words} onClose={onClose}>
      <Button
        tone="danger"
        label="Take this mark off"
        onPress={() => {
          put('photo', { ...photo, marks: marks.filter(({ id }) => id !== mark.id) }, 'Mark taken off.');
          onClose();
        }}
      />
    </Sheet>
  );
}

/** A size's tag on a photo: its size is opened, or the tag taken off. */
export function TagSheet({ photo, tag, onClose }: { photo: Photo; tag: PhotoTag; onClose(): void }) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const opened = numbers.sizes.get(tag.sizeId);
  const toSize = (sizeId: string) => {
    openSize(sizeId);
    router.replace(`/repair/${repair.head.id}/sizes`);
  };
  return (
    <Sheet title={opened ? `${opened.size.tag}, ${opened.size.name}` : 'A deleted size'} onClose={onClose}>
      {opened ? (
        <Button tone="primary" label="Open this size" onPress={() => toSize(opened.size.id)} />
      ) : null}
      <Button
        tone="danger"
        label="Take this tag off"
        onPress={() => {
          put('photo', { ...photo, tags: photo.tags.filter(({ id }) => id !== tag.id) }, 'Tag taken off.');
          onClose();
        }}
      />
    </Sheet>
  );
}
