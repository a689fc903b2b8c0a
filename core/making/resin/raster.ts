import { PER_MM, type Area } from '@core/making/slice';

/** A grey picture: how much of each pixel is covered, 0 to 255, row by row from the back, each from the left. */
export interface Raster {
  width: number;
  height: number;
  data: Uint8Array;
}

/**
 * Draws areas by how much of each pixel they cover: what every edge leaves to its right is added up along the rows (the signed-area way of
 * drawing outlines of letters). Areas may overlap.
 */
export class Rasteriser {
  readonly #sums: Float32Array;
  readonly #stride: number;

  /**
   * @param width in pixels.
   * @param pixelMm width and depth of a pixel, mm.
   */
  constructor(
    readonly width: number,
    readonly height: number,
    private readonly pixelMm: readonly [number, number],
  ) {
    // What lies right of the last pixel falls beside it.
    this.#stride = width + 2;
    this.#sums = new Float32Array(this.#stride * height);
  }

  /** @param middle where the areas' origin lies, in mm from the left and from the front. */
  draw(areas: readonly Area[], middle: readonly [number, number]): Raster {
    const { width, height } = this;
    let [first, last] = [height, -1];
    for (const path of areas.flat()) {
      for (let at = 0; at < path.length; at += 1) {
        const from = this.#toPixels(path[at]!, middle);
        const to = this.#toPixels(path[(at + 1) % path.length]!, middle);
        const [top, bottom] = this.#edge(from, to);
        first = Math.min(first, top);
        last = Math.max(last, bottom);
      }
    }
    const data = new Uint8Array(width * height);
    for (let row = Math.max(0, first); row <= Math.min(height - 1, last); row += 1) {
      const sums = this.#sums.subarray(row * this.#stride, (row + 1) * this.#stride);
      let covered = 0;
      for (let column = 0; column < width; column += 1) {
        covered += sums[column]!;
        data[row * width + column] = Math.round(255 * Math.min(1, Math.abs(covered)));
      }
      sums.fill(0);
    }
    return { width, height, data };
  }

  /** Rows run from the back to the front. */
  #toPixels({ x, y }: { x: number; y: number }, [left, front]: readonly [number, number]): [number, number] {
    const [broad, deep] = this.pixelMm;
    return [(x / PER_MM + left) / broad, this.height - (y / PER_MM + front) / deep];
  }

  /** Adds what an edge leaves to its right, and tells the first and last row that it touches. */
  #edge([x0, y0]: [number, number], [x1, y1]: [number, number]): [number, number] {
    if (y0 === y1) return [this.height, -1];
    const sign = y0 < y1 ? 1 : -1;
    const [topX, topY, bottomX, bottomY] = y0 < y1 ? [x0, y0, x1, y1] : [x1, y1, x0, y0];
    const slope = (bottomX - topX) / (bottomY - topY);
    const first = Math.max(0, Math.floor(topY));
    const last = Math.min(this.height - 1, Math.ceil(bottomY) - 1);
    for (let row = first; row <= last; row += 1) {
      const upper = Math.max(topY, row);
      const lower = Math.min(bottomY, row + 1);
      if (lower <= upper) continue;
      const at = (y: number) => topX + (y - topY) * slope;
      this.#span(row, at(upper), at(lower), sign * (lower - upper));
    }
    return [first, last];
  }

  /** Of one row: an edge from one x to another that goes down by so much of it. */
  #span(row: number, xa: number, xb: number, down: number): void {
    const limit = (x: number) => Math.min(Math.max(x, 0), this.width);
    const [left, right] = xa < xb ? [limit(xa), limit(xb)] : [limit(xb), limit(xa)];
    const begin = row * this.#stride;
    const sums = this.#sums;
    const firstCell = Math.floor(left);
    const lastCell = Math.floor(right);
    if (firstCell === lastCell) {
      // Right of the edge within the cell; all cells beyond it are covered whole.
      const own = down * (1 - ((left + right) / 2 - firstCell));
      sums[begin + firstCell]! += own;
      sums[begin + firstCell + 1]! += down - own;
      return;
    }
    const perCell = down / (right - left);
    let covered = 0;
    for (let cell = firstCell; cell <= lastCell; cell += 1) {
      const from = Math.max(left, cell);
      const to = Math.min(right, cell + 1);
      if (to <= from) continue;
      const here = perCell * (to - from);
      const own = here * (1 - ((from + to) / 2 - cell));
      // Of the edge in earlier cells this one is covered whole: that was carried over.
      sums[begin + cell]! += own;
      sums[begin + cell + 1]! += here - own;
      covered += here;
    }
    // What rounding left.
    sums[begin + lastCell + 1]! += down - covered;
  }
}
