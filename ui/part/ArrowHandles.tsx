import { createElement } from 'react';

import type { Annotation } from '@core/shaping/part';

import { colours } from '../theme/colours';
import { canBePulled } from './arrowPull';
import type { Arrow, PlacedLabel, Point } from './placeLabels';

/** A size whose arrow was taken hold of, and where, px of the screen. */
export interface TakenArrow {
  annotation: Annotation;
  arrow: Arrow;
  from: Point;
  /** The finger that took it; another one does not move it. */
  pointer: number;
}

/** What a finger can hit, px, and the dot that says so. */
const [HANDLE, DOT] = [44, 11];

/** A dot that would be seen through a label is left out, px from the label's middle. */
const LABEL = { x: 40, y: 12 };
const isFree = ({ tip }: Arrow, placed: readonly PlacedLabel[]): boolean =>
  !placed.some(({ label }) => Math.abs(label.x - tip.x) < LABEL.x && Math.abs(label.y - tip.y) < LABEL.y);

/**
 * The arrows of sizes that can be pulled. They are for the finger and the mouse: from the keyboard the size is changed in its sheet.
 */
export function ArrowHandles({
  placed,
  canPull,
  onTake,
}: {
  placed: readonly PlacedLabel[];
  canPull(annotation: Annotation): boolean;
  onTake(taken: TakenArrow): void;
}) {
  return (
    <>
      {placed.flatMap(({ annotation, arrows }) =>
        canPull(annotation)
          ? arrows
              .filter((arrow) => canBePulled(arrow) && isFree(arrow, placed))
              .map((arrow, index) =>
                createElement(
                  'div',
                  {
                    key: `${annotation.stepId}.${annotation.field}.${index}`,
                    'aria-hidden': true,
                    'data-arrow': annotation.field,
                    onPointerDown: (event: React.PointerEvent) => {
                      event.preventDefault();
                      onTake({
                        annotation,
                        arrow,
                        from: { x: event.clientX, y: event.clientY },
                        pointer: event.pointerId,
                      });
                    },
                    style: {
                      position: 'absolute',
                      left: arrow.tip.x - HANDLE / 2,
                      top: arrow.tip.y - HANDLE / 2,
                      width: HANDLE,
                      height: HANDLE,
                      display: 'flex',
                      alignItems: 'center',
                      justifyContent: 'center',
                      cursor: 'grab',
                      touchAction: 'none',
                    },
                  },
                  createElement('div', {
                    style: {
                      width: DOT,
                      height: DOT,
                      borderRadius: DOT,
                      background: colours.card,
                      border: `2.5px solid ${colours.green.DEFAULT}`,
                    },
                  }),
                ),
              )
          : [],
      )}
    </>
  );
}
