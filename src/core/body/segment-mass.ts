/**
 * Segment masses as fractions of body mass, and centres of mass as fractions of segment length from the proximal joint.
 * Source: Winter, Biomechanics and Motor Control of Human Movement, table 4.1.
 */
export interface SegmentMass {
  readonly share: number;
  readonly centre: number;
}

/** Upper arm (Winter 2009, table 4.1). */
export const UPPER_ARM_MASS: SegmentMass = { share: 0.028, centre: 0.436 };

/** Forearm and hand as one segment. Winter gives the centre at 0.682 of elbow to ulnar styloid (the wrist). */
export const FOREARM_HAND_MASS: SegmentMass = { share: 0.022, centre: 0.682 };

/** Thigh (Winter 2009, table 4.1). */
export const THIGH_MASS: SegmentMass = { share: 0.1, centre: 0.433 };
/** Shank (Winter 2009, table 4.1). */
export const SHANK_MASS: SegmentMass = { share: 0.0465, centre: 0.433 };
/** Lateral malleolus to the head of the second metatarsal. */
export const FOOT_MASS: SegmentMass = { share: 0.0145, centre: 0.5 };
/** Greater trochanter to glenohumeral joint. */
export const TRUNK_MASS: SegmentMass = { share: 0.497, centre: 0.5 };
/** Head and neck; the centre is taken at the middle of the head (Winter: the ear canal). */
export const HEAD_MASS_SHARE = 0.081;

/** Whole arm and whole leg as Winter lists them; the sums of their parts. */
export const ARM_MASS_SHARE = 0.05;
/** Whole leg, share of the body mass (Winter 2009, table 4.1). */
export const LEG_MASS_SHARE = 0.161;
