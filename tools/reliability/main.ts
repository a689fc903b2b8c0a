import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

import { KNOWINGS, reliabilityOf, type Knowing, type Tenth } from '@core/fitting/rehearsal';

import { KNOWING_WORDS, makesOfWorlds } from '../bench/learning';

/** Fewest makes that say anything of a tenth. */
const ENOUGH_MAKES = 100;

/** Dashes and marks tell the lines apart without colour. */
const DASHES: Record<Knowing, string> = {
  untried: '2 4',
  afterGaugeRow: '8 4',
  after3: '14 4 2 4',
  after10: '',
};
const [SIDE, LEFT, TOP] = [320, 76, 20];
const x = (share: number) => LEFT + share * SIDE;
const y = (share: number) => TOP + (1 - share) * SIDE;

/** Stated chance against what happened, for docs/reliability.svg. */
function main(): void {
  const makes = makesOfWorlds();
  const lines = KNOWINGS.map((knowing, place) => {
    const tenths = reliabilityOf(makes.filter((make) => make.knowing === knowing)).filter(
      ({ makes: count }) => count >= ENOUGH_MAKES,
    );
    return lineOf(tenths, knowing, place);
  });
  const marks = [0, 0.2, 0.4, 0.6, 0.8, 1].map(
    (share) =>
      `<text x="${x(share)}" y="${y(0) + 18}" text-anchor="middle">${Math.round(100 * share)} %</text>` +
      `<text x="${LEFT - 8}" y="${y(share) + 4}" text-anchor="end">${Math.round(100 * share)} %</text>`,
  );
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 600 400" font-family="sans-serif" font-size="13" fill="#1d2528">`,
    `<rect width="600" height="400" fill="#f4f1e8"/>`,
    `<path d="M ${x(0)} ${y(0)} L ${x(1)} ${y(1)}" stroke="#8a8371" stroke-width="1"/>`,
    `<path d="M ${x(0)} ${y(1)} V ${y(0)} H ${x(1)}" fill="none" stroke="#1d2528"/>`,
    ...marks,
    `<text x="${x(0.5)}" y="392" text-anchor="middle">chance as it was stated</text>`,
    `<text transform="translate(14 ${y(0.5)}) rotate(-90)" text-anchor="middle">share that fitted</text>`,
    ...lines,
    '</svg>',
  ].join('\n');
  writeFileSync(join(__dirname, '..', '..', 'docs', 'reliability.svg'), `${svg}\n`);
}

function lineOf(tenths: readonly Tenth[], knowing: Knowing, place: number): string {
  const points = tenths.map(({ stated, happened }) => `${x(stated).toFixed(1)} ${y(happened).toFixed(1)}`);
  const dots = points.map((point) => {
    const [cx, cy] = point.split(' ');
    return `<circle cx="${cx}" cy="${cy}" r="3" fill="#1e5b4a"/>`;
  });
  const dash = DASHES[knowing] ? ` stroke-dasharray="${DASHES[knowing]}"` : '';
  const stroke = `fill="none" stroke="#1e5b4a" stroke-width="2"${dash}`;
  const at = 60 + 24 * place;
  return [
    `<path d="M ${points.join(' L ')}" ${stroke}/>`,
    ...dots,
    `<path d="M 424 ${at} H 464" ${stroke}/><text x="472" y="${at + 4}">${KNOWING_WORDS[knowing]}</text>`,
  ].join('\n');
}

main();
