import type { Body } from './body-model';
import { GRIP_SHARE_OF_HAND } from './segment-ratios';

/** Elbow to the middle of the closed hand, metres. */
export const foreToGripM = (body: Body): number => body.length.forearm.m + body.length.hand.m * GRIP_SHARE_OF_HAND;

/** Shoulder to the middle of the closed hand with the arm straight, metres. */
export const armToGripM = (body: Body): number => body.length.upperArm.m + foreToGripM(body);
