/** What a drawing is drawn with. */
export type DrawTool =
  | 'line'
  | 'arc'
  | 'tangentArc'
  | 'arcAbout'
  | 'smooth'
  | 'circle'
  | 'ellipse'
  | 'slot'
  | 'rectangle'
  | 'polygon';
/** What changes a curve that is there. */
export type CutTool = 'trim' | 'extend' | 'split';
/** `area`: takes areas that curves enclose as the outline. `follow`: lets the drawing follow edges of the part. */
export type Tool = DrawTool | CutTool | 'area' | 'follow';

/** A tool to choose. `short`: its word where there is little room. */
export interface ToolChoice {
  tool: Tool;
  word: string;
  short?: string;
}

export const DRAW_TOOLS: readonly ToolChoice[] = [
  { tool: 'line', word: 'Lines' },
  { tool: 'arc', word: 'Arcs' },
  { tool: 'tangentArc', word: 'Tangent arcs', short: 'Tangent' },
  { tool: 'arcAbout', word: 'Arc about a point', short: 'About' },
  { tool: 'smooth', word: 'Smooth curve', short: 'Smooth' },
  { tool: 'circle', word: 'Circle' },
  { tool: 'rectangle', word: 'Rectangle' },
  { tool: 'slot', word: 'Slot' },
  { tool: 'polygon', word: 'Polygon' },
  { tool: 'ellipse', word: 'Ellipse' },
];

export const CUT_TOOLS: readonly ToolChoice[] = [
  { tool: 'trim', word: 'Trim' },
  { tool: 'extend', word: 'Extend' },
  { tool: 'split', word: 'Split' },
  { tool: 'area', word: 'Areas' },
];

export const FOLLOW_TOOL: ToolChoice = { tool: 'follow', word: 'Follow an edge', short: 'Follow' };

export const isCutTool = (tool: Tool): tool is CutTool =>
  tool === 'trim' || tool === 'extend' || tool === 'split';

/** Tools that go on from each other: the run is not begun anew. */
export const isRunTool = (tool: Tool | null): boolean =>
  tool === 'line' || tool === 'arc' || tool === 'tangentArc';

/** Whether a tool draws curves, and does not change or take those that are there. */
export const isDrawTool = (tool: Tool): tool is DrawTool =>
  !isCutTool(tool) && tool !== 'area' && tool !== 'follow';

/** What to tap next, by how many places there are so far. */
export const HINTS: Record<Tool, readonly string[]> = {
  line: ['Tap where the line begins.', 'Tap where it ends.'],
  arc: ['Tap where the arc begins.', 'Tap a place it goes through.', 'Tap where it ends.'],
  tangentArc: ['Tap the end of a line or an arc.', 'Tap where the arc ends.'],
  arcAbout: ['Tap its middle.', 'Tap where it begins.', 'Tap towards where it ends.'],
  smooth: [
    'Tap where the curve begins.',
    'Tap the next place it goes through.',
    'Tap the next place, or its first point to close it.',
  ],
  circle: ['Tap its middle.', 'Tap its rim.'],
  ellipse: ['Tap its middle.', 'Tap a corner of the rectangle that just holds it.'],
  slot: ['Tap the middle of one end.', 'Tap the middle of the other end.', 'Tap one of its sides.'],
  rectangle: ['Tap one corner.', 'Tap the corner opposite.'],
  polygon: ['Tap its middle.', 'Tap one corner.'],
  area: ['Tap each area that the outline is to go round; tap it again to leave it out.'],
  follow: ['Tap an edge or a corner of the part: the drawing follows it.'],
  trim: ['Tap the piece that is to go.'],
  extend: ['Tap a line or an arc near the end that is to be longer.'],
  split: ['Tap where the line or arc is to be split.'],
};
