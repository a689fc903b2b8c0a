import { showNumber } from '@core/foundations/quantity';

/** "6.25 mm", as exactly as it is known. */
export const mm = (value: number): string => `${showNumber(value)} mm`;

/** "6.25 mm", to a hundredth. */
export const mmToHundredth = (value: number): string => mm(Math.round(value * 100) / 100);

/** "3.4 mm²", "355 mm²". */
export const mm2 = (value: number): string => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} mm²`;

/** "94 %". */
export const percent = (share: number, decimals = 0): string => `${(100 * share).toFixed(decimals)} %`;

/** "94 %": a chance, never 0 or 100, since nothing made by hand is certain, nor quite hopeless. */
export const chanceWords = (probability: number): string =>
  percent(Math.min(0.99, Math.max(0.01, probability)));

/** "94 %": a share, without saying all or nothing of what is neither. */
export function shareWords(share: number): string {
  if (share > 0 && share < 0.01) return 'less than 1 %';
  return share < 1 && share > 0.99 ? 'more than 99 %' : percent(share);
}
