/** Volumes and areas in closed form, mm³ and mm². */

export const disc = (across: number): number => (Math.PI * across ** 2) / 4;
/** A rectangle with rounded corners. */
export const rounded = (length: number, breadth: number, radius = 0): number =>
  length * breadth - (4 - Math.PI) * radius ** 2;
export const roundedRim = (length: number, breadth: number, radius: number): number =>
  2 * (length + breadth) - (8 - 2 * Math.PI) * radius;
export const slot = (length: number, breadth: number): number => (length - breadth) * breadth + disc(breadth);
/** Regular, six sides, over its flats. */
export const hexagon = (flats: number): number => (Math.sqrt(3) / 2) * flats ** 2;
/** A prism or cone between two like sections: the prismoid formula for faces that shrink evenly. */
export const frustum = (lower: number, upper: number, height: number): number =>
  (height / 3) * (lower + upper + Math.sqrt(lower * upper));

/** What an ease takes off the rim of a convex outline without sharp corners: its inward offset is A − P z + π z². */
export const easedRim = (rim: number, size: number): number =>
  (rim * size ** 2) / 2 - (Math.PI * size ** 3) / 3;
/** What a round takes off it. */
export const roundedOff = (rim: number, radius: number): number =>
  rim * radius ** 2 * (1 - Math.PI / 4) - Math.PI * radius ** 3 * (5 / 3 - Math.PI / 2);
/** What an ease takes off the rim of a rectangle with sharp corners. */
export const easedSharp = (length: number, breadth: number, size: number): number =>
  (length + breadth) * size ** 2 - (4 / 3) * size ** 3;
/** What an ease takes off the mouth of a round hole. */
export const easedMouth = (across: number, size: number): number =>
  Math.PI * size ** 2 * (across / 2 + size / 3);
/** What a countersink of 90° takes beside its hole. */
export const sunk = (head: number, hole: number): number => {
  const deep = (head - hole) / 2;
  return frustum(disc(head), disc(hole), deep) - disc(hole) * deep;
};
/** A band round two circles, `apart` from middle to middle. */
export function band(one: number, other: number, apart: number): number {
  const [big, small] = [Math.max(one, other) / 2, Math.min(one, other) / 2];
  const lean = Math.asin((big - small) / apart);
  const straight = Math.sqrt(apart ** 2 - (big - small) ** 2);
  return straight * (big + small) + big ** 2 * (Math.PI / 2 + lean) + small ** 2 * (Math.PI / 2 - lean);
}
/** What two circles have in common. */
export function lens(one: number, other: number, apart: number): number {
  const [r, s] = [one / 2, other / 2];
  const cap = (a: number, b: number) => {
    const along = (apart ** 2 + a ** 2 - b ** 2) / (2 * apart);
    return a ** 2 * Math.acos(along / a) - along * Math.sqrt(a ** 2 - along ** 2);
  };
  return cap(r, s) + cap(s, r);
}
/** Part of a circle cut off by a chord, `high` at its middle. */
export function segment(chord: number, high: number): number {
  const radius = chord ** 2 / (8 * high) + high / 2;
  const half = Math.asin(chord / 2 / radius);
  const turn = high > radius ? 2 * Math.PI - 2 * half : 2 * half;
  return (radius ** 2 / 2) * (turn - Math.sin(turn));
}

/** Simpson's rule over an even number of pieces. */
export function integral(of: (at: number) => number, from: number, to: number, pieces = 2000): number {
  const step = (to - from) / pieces;
  let sum = of(from) + of(to);
  for (let index = 1; index < pieces; index += 1) sum += (index % 2 === 1 ? 4 : 2) * of(from + index * step);
  return (sum * step) / 3;
}

/** Involute teeth outside, of a wheel whose base circle lies within its root (from 42 teeth at 20°): ISO 21771. */
export function gearArea(module: number, teeth: number, pressure: number, backlash: number): number {
  const pitch = (module * teeth) / 2;
  const [root, tip] = [pitch - 1.25 * module, pitch + module];
  const involute = (angle: number) => Math.tan(angle) - angle;
  const half = (r: number) =>
    (Math.PI * module) / 2 / (2 * pitch) -
    backlash / (2 * pitch) +
    involute(pressure) -
    involute(Math.acos((pitch * Math.cos(pressure)) / r));
  return Math.PI * root ** 2 + teeth * integral((r) => 2 * half(r) * r, root, tip);
}
