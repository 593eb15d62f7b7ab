import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';

/** The joint that a movement turns about. */
export function jointName({ path, target }: { readonly path: ChainPath; readonly target: ChainTarget }): string {
  if (target.joint === 'middle') return path.chain === 'leg' ? 'knee' : 'elbow';
  return path.chain === 'arm' ? 'shoulder' : 'hip';
}
