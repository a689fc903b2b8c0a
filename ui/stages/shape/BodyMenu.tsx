import { useState } from 'react';
import { Text, View } from 'react-native';

import type { Body } from '@core/record/model';

import { useChangeRepair } from '../../api/useRepair';
import { DeletedRows } from '../../inRepair/DeletedRows';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { Button } from '../../shared/Button';
import { Field } from '../../shared/Field';
import { nameField } from '../../shared/nameField';
import { BODY_VIEW_WORDS, useBodyViews, viewOf } from '../../part/bodyViews';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { LiftSheet } from './LiftSheet';
import { SideNamesSheet } from './SideNamesSheet';
import { SlideSheet } from './SlideSheet';

/** Names the body, adds others, deletes it or brings deleted ones back. */
export function BodyMenu({
  body,
  onAdd,
  onClose,
}: {
  body: Body;
  onAdd(role: Body['role']): void;
  onClose(): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { views, setView } = useBodyViews();
  const [name, setName] = useState(body.name);
  const [wrong, setWrong] = useState<string>();
  const [sliding, setSliding] = useState(false);
  const [lifting, setLifting] = useState(false);
  const [naming, setNaming] = useState(false);
  const rename = () => {
    const parsed = nameField('the body').safeParse(name);
    if (!parsed.success) {
      setWrong(parsed.error.issues[0]!.message);
      return;
    }
    put('body', { ...body, name: name.trim() });
    onClose();
  };
  const hasOthers = repair.bodies.some((other) => !other.removed && other.id !== body.id);
  if (naming) return <SideNamesSheet body={body} onClose={onClose} />;
  if (lifting) return <LiftSheet body={body} onClose={onClose} />;
  if (sliding) return <SlideSheet body={body} onClose={onClose} />;
  return (
    <Sheet title="Bodies" onClose={onClose}>
      <Field
        label="Name of this body"
        value={name}
        onChangeText={setName}
        onSubmitEditing={rename}
        wrong={wrong}
      />
      <Button label="Keep this name" onPress={rename} />
      <Button label="Name its sides" onPress={() => setNaming(true)} />
      <GroupHeading>How the bodies are shown</GroupHeading>
      {repair.bodies
        .filter((other) => !other.removed)
        .map((other) => (
          <View key={other.id} className="flex-row items-center gap-3">
            <Text className="min-w-0 flex-1 font-medium text-[15px] text-ink">{other.name}</Text>
            <Switch
              label={`How ${other.name} is shown`}
              options={(['shown', 'ghost', 'hidden'] as const).map((id) => ({
                id,
                word: BODY_VIEW_WORDS[id],
              }))}
              value={viewOf(views, other)}
              onChange={(view) => setView(other.id, view)}
            />
          </View>
        ))}
      <Button label="Bring one from another repair" onPress={() => setLifting(true)} />
      {hasOthers ? <Button label="Slide it until it touches" onPress={() => setSliding(true)} /> : null}
      <View className="flex-row gap-3">
        <Button className="flex-1" label="Add a spare" onPress={() => onAdd('spare')} />
        <Button className="flex-1" label="Add a counterpart" onPress={() => onAdd('counterpart')} />
      </View>
      <Button
        tone="danger"
        label={`Delete ${body.name}`}
        onPress={() => {
          put('body', { ...body, removed: true }, `${body.name} is deleted.`);
          onClose();
        }}
      />
      <DeletedRows kinds={['body']} />
    </Sheet>
  );
}
