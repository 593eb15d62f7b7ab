/** Where in the range, in words. */
export function whereInRange(at: number): string {
  if (at <= 0.12) return 'in the stretch';
  if (at < 0.4) return 'nearer the stretch';
  if (at <= 0.6) return 'half way';
  if (at < 0.88) return 'nearer the finish';
  return 'at the finish';
}
