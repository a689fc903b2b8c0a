/** A dimension of a practice object as it truly is, mm. Only the caliper knows. */
export interface TrueDimension {
  id: string;
  name: string;
  jaw: 'outside' | 'inside' | 'depth' | 'step';
  trueMm: number;
  /** How unevenly it is worn or made: extra scatter of readings, one standard deviation, mm. */
  roughMm: number;
}

export interface PracticeObject {
  id: string;
  name: string;
  dimensions: readonly TrueDimension[];
}

const outside = (id: string, name: string, trueMm: number, roughMm = 0): TrueDimension => ({
  id,
  name,
  jaw: 'outside',
  trueMm,
  roughMm,
});
const inside = (id: string, name: string, trueMm: number, roughMm = 0): TrueDimension => ({
  id,
  name,
  jaw: 'inside',
  trueMm,
  roughMm,
});

/** What lies on the practice bench. */
export const PRACTICE_OBJECTS: readonly PracticeObject[] = [
  {
    id: 'rack-wheel',
    name: 'Rack wheel and its axle',
    dimensions: [
      outside('rim', 'Rim, outside', 38.213, 0.01),
      outside('axle', 'Axle it runs on', 6.017),
      outside('width', 'Wheel, width', 8.004, 0.008),
      inside('bore', 'Worn bore', 6.412, 0.06),
      { id: 'groove', name: 'Groove, depth', jaw: 'depth', trueMm: 3.487, roughMm: 0.02 },
    ],
  },
  {
    id: 'bearing',
    name: 'Bearing from a hand cart',
    dimensions: [
      outside('outside', 'Outside', 21.994),
      inside('bore', 'Bore', 7.996),
      outside('width', 'Width', 6.962),
    ],
  },
  {
    id: 'hinge-plate',
    name: 'Hinge plate with four holes',
    dimensions: [
      inside('hole', 'Hole', 5.26, 0.01),
      outside('12', 'Holes 1 and 2, over the far rims', 47.231),
      outside('13', 'Holes 1 and 3, over the far rims', 35.294),
      outside('14', 'Holes 1 and 4, over the far rims', 56.87),
      outside('23', 'Holes 2 and 3, over the far rims', 56.87),
      outside('24', 'Holes 2 and 4, over the far rims', 35.294),
      outside('34', 'Holes 3 and 4, over the far rims', 47.231),
      { id: 'thick', name: 'Thickness', jaw: 'step', trueMm: 2.011, roughMm: 0.005 },
    ],
  },
];
