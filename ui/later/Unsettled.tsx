import { useUnsettled } from '../api/unsettled';
import { later } from './later';

const UnsettledSheet = later('UnsettledSheet');

/** The sheet about changes that the server did not take, if there are any and it is open. */
export function Unsettled() {
  const isWanted = useUnsettled(({ waiting, open }) => open && waiting.length > 0);
  return isWanted ? <UnsettledSheet /> : null;
}
