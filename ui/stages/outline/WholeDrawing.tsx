import { followsPart, turnedOver } from '@core/shaping/drawnEdits';

import { Button } from '../../shared/Button';
import { SaveDrawing } from './SaveDrawing';
import { TakeInFile } from './TakeInFile';
import type { Drawing } from './useDrawing';

/** What can be done with all of a drawing: turned over, saved, another taken in in its place. */
export function WholeDrawing({
  drawing,
  title,
  onProblem,
}: {
  drawing: Drawing;
  /** What its file is called after. */
  title: string;
  onProblem(sentence: string): void;
}) {
  const { outline } = drawing;
  const turn = () => {
    const over = turnedOver(outline);
    if (over) drawing.keep(over, 'Turned over.');
    else
      onProblem(
        followsPart(outline)
          ? 'It follows the part, which stays as it is. Let it go, then turn the outline over.'
          : 'A point is placed by a size. Type its place as a number, then turn the outline over.',
      );
  };
  return (
    <>
      {outline.curves.length > 0 ? <Button label="Turn it over" onPress={turn} /> : null}
      <TakeInFile drawing={drawing} />
      {outline.curves.some(({ helper }) => !helper) ? <SaveDrawing drawing={drawing} title={title} /> : null}
    </>
  );
}
