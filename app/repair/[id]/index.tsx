import { Redirect, useLocalSearchParams } from 'expo-router';

export default function Start() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/repair/${id}/sizes`} />;
}
