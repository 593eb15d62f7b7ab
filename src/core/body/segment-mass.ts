/**
 * Segment masses as fractions of body mass, and centres of mass as fractions of segment length from the proximal joint.
 * Source: Winter, Biomechanics and Motor Control of Human Movement, table 4.1.
 */
export const UPPER_ARM_MASS = { share: 0.028, centre: 0.436 } as const;

/**
 * Forearm and hand as one segment. Winter gives the centre at 0.682 of elbow to ulnar styloid (the wrist).
 */
export const FOREARM_HAND_MASS = { share: 0.022, centre: 0.682 } as const;

/** Whole arm; the sum of the two above. */
export const ARM_MASS_SHARE = 0.05;
