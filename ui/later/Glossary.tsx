import { useOpenTerm } from '../shared/openTerm';
import { later } from './later';

const TermSheet = later('TermSheet');

/** The sheet about a word of the glossary, if one is open. */
export function Glossary() {
  const isWanted = useOpenTerm(({ term }) => term !== null);
  return isWanted ? <TermSheet /> : null;
}
