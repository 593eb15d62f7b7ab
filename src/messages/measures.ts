import type { RangeName } from '@/core/body/active-range';
import type { MeasureName } from '@/core/body/segment-ratios';

export const MEASURE_LABEL: Readonly<Record<MeasureName, string>> = {
  ankleHeight: 'Ankle',
  kneeHeight: 'Knee',
  hipHeight: 'Hip',
  shoulderHeight: 'Shoulder',
  chinHeight: 'Chin',
  eyeHeight: 'Eye',
  elbowHeight: 'Elbow',
  wristHeight: 'Wrist',
  fingertipHeight: 'Fingertip',
  shoulderBreadth: 'Between shoulders',
  hipBreadth: 'Between hips',
  upperArm: 'Upper arm',
  forearm: 'Forearm',
  hand: 'Hand',
  foot: 'Foot',
};

export const RANGE_LABEL: Readonly<Record<RangeName, string>> = {
  'shoulder.horizontalAbduction': 'Arm back from straight out',
  'shoulder.horizontalAdduction': 'Arm forward and across',
};
