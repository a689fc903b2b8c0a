/** Where columns may stand that hold up what would be laid in air. */
export const SUPPORTS = ['none', 'bed', 'everywhere'] as const;
export type Support = (typeof SUPPORTS)[number];

/** What is laid round the foot of a part: a loop apart from it, a flat edge, or discs at its corners. */
export const BED_ADHESIONS = ['none', 'skirt', 'brim', 'ears'] as const;
export type BedAdhesion = (typeof BED_ADHESIONS)[number];

/** How what is inside of the walls is filled. */
export const INFILL_PATTERNS = ['lines', 'grid', 'gyroid'] as const;
export type InfillPattern = (typeof INFILL_PATTERNS)[number];
