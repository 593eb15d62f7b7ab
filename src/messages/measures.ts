import type { ClinicianLimit, LimitSubject } from '@/core/body/clinician-limit';
import type { RangeName } from '@/core/body/active-range';
import type { MeasureName } from '@/core/body/segment-ratios';

export const MEASURE_LABEL: Readonly<Record<MeasureName, string>> = {
  ankleHeight: 'Ankle',
  kneeHeight: 'Knee',
  hipHeight: 'Hip',
  shoulderHeight: 'Shoulder',
  chinHeight: 'Chin',
  eyeHeight: 'Eye',
  seatedShoulder: 'Shoulder, seated',
  seatedArmpit: 'Armpit, seated',
  seatedNipple: 'Nipple, seated',
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
  'shoulder.flexion': 'Arm up ahead',
  'shoulder.extension': 'Arm back, hanging',
  'shoulder.abduction': 'Arm up at the side',
  'shoulder.externalRotation': 'Forearm turned out',
  'shoulder.internalRotation': 'Forearm turned in',
  'shoulder.horizontalAbduction': 'Arm back from straight out',
  'shoulder.horizontalAdduction': 'Arm forward and across',
  'elbow.flexion': 'Elbow bend',
  'forearm.pronation': 'Palm turned down',
  'forearm.supination': 'Palm turned up',
  'hip.flexion': 'Thigh up ahead',
  'knee.flexion': 'Knee bend',
};

/** What a clinician's limit is set on. */
export const LIMIT_SUBJECT_NAME: Readonly<Record<LimitSubject, string>> = {
  'load-in-hand': 'Load in the hand',
  'load-on-leg': 'Load on the leg',
  'load-on-spine': 'Load on the spine',
  ...RANGE_LABEL,
};

/** What a limit is on, and its side where it is one. */
export const limitOnText = (l: Pick<ClinicianLimit, 'subject' | 'side'>): string =>
  `${LIMIT_SUBJECT_NAME[l.subject]}${l.side === 'both' ? '' : `, ${l.side}`}`;

/** The most that a limit allows of it. */
export const limitMostText = (l: Pick<ClinicianLimit, 'subject' | 'side' | 'most'>): string =>
  `${limitOnText(l)}: at most ${l.most} ${l.subject.startsWith('load') ? 'kg' : '°'}`;
