import { Chain } from './chain';
import { Fit } from './fit';
import { Layout } from './layout';
import { Photo } from './photo';
import { Body } from './recipe';
import { Reading, Size } from './size';

/** The kinds of row of a repair that a revision freezes; see `rowKinds`. */
export const STATE_ROWS = {
  size: { list: 'sizes', row: Size, most: 20_000, missing: 'refused' },
  reading: { list: 'readings', row: Reading, most: 50_000, missing: 'refused' },
  layout: { list: 'layouts', row: Layout, most: 200, missing: 'refused' },
  fit: { list: 'fits', row: Fit, most: 2000, missing: 'refused' },
  chain: { list: 'chains', row: Chain, most: 200, missing: 'refused' },
  photo: { list: 'photos', row: Photo, most: 200, missing: 'refused' },
  body: { list: 'bodies', row: Body, most: 100, missing: 'refused' },
} as const;
