import type { DrawingFileFault } from '@core/shaping/drawingFiles';

/** Why a DXF or an SVG is not taken in, and what to do. */
export function drawingFileSentence(fault: DrawingFileFault): string {
  switch (fault.code) {
    case 'tooLarge':
      return `This file has ${Math.ceil(fault.mb)} MB; ${fault.mostMb} MB can be read. Save only the outline that you need.`;
    case 'unreadable':
      return `This is no ${fault.form} file that can be read, or it ends in the middle. Save it again, or ask for another copy.`;
    case 'binary':
      return 'This is a binary DXF. Save it as an ASCII DXF.';
    case 'entities':
      return 'This SVG declares entities of its own, which are not unfolded here. Save it as a plain SVG.';
    case 'nothingToTake':
      return 'There is no curve in it that an outline can be made of.';
    case 'noPoints':
      return 'There are no points in this table. Give each a row of two numbers: how far to the right, and how far up.';
    case 'tooMany':
      return `It has ${fault.curves} curves. A drawing has room for ${fault.most} curves, and as many points: choose fewer layers, or save only the outline that you need.`;
    case 'fromBelow':
      return `In this DXF ${fault.count === 1 ? 'a curve is' : `${fault.count} curves are`} drawn as seen from below, and would lie mirrored. Save it flat, as seen from above.`;
  }
}

/** What a file held that was not taken, by kind and count; null for nothing. */
export function leftOutSentence(leftOut: ReadonlyMap<string, number>): string | null {
  if (leftOut.size === 0) return null;
  const kinds = [...leftOut].map(([kind, count]) => `${kind} (${count})`).join(', ');
  return `Not taken, since no outline can be made of it: ${kinds}.`;
}
