import { create as createQr } from 'qrcode';

/** The dark cells of a code that opens an address, and how many cells it is wide and high. */
export function qrCells(url: string) {
  const { modules } = createQr(url, { errorCorrectionLevel: 'M' });
  const all = Array.from({ length: modules.size ** 2 }, (_, k) => ({
    row: Math.floor(k / modules.size),
    col: k % modules.size,
  }));
  return { size: modules.size, cells: all.filter(({ row, col }) => modules.get(row, col)) };
}
