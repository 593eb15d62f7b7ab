/** Body mass index in the middle of the normal range of 18.5 to 24.9, kg/m2 (WHO Technical Report Series 894, 2000). */
const MIDDLE_BMI = 21.7;

/** Mass of somebody whom nobody has weighed, whole kilograms, from the stature in metres. */
export const estimatedMassKg = (statureM: number): number => Math.round(MIDDLE_BMI * statureM ** 2);
