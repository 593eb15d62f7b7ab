import type { FirstStep } from '@/contract/views/first-steps';

/** Where each step is done. */
export const STEP_HREF: Readonly<Record<FirstStep, string>> = {
  owner: '/people',
  gym: '/kit#gym',
  column: '/kit/new?kind=column',
  client: '/clients/new',
  setup: '/#plan',
};
