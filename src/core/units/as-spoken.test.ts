import { describe, expect, it } from 'vitest';
import { readLengthCm, readMassKg, toFeetInches, toPounds } from './as-spoken';

describe('as people say it (an inch is 2.54 cm, a pound 0.45359237 kg, by definition)', () => {
  it.each([
    ['178', 178],
    ['178,5 cm', 178.5],
    ['1.78 m', 178],
    ['1780mm', 178],
    ['5\'10"', 177.8],
    ['5’10”', 177.8],
    ["5' 10.5", 179.1],
    ['5 ft 10 in', 177.8],
    ['6 feet', 182.9],
    ['82"', 208.3],
    ['82 inches', 208.3],
    ['tall', null],
    ['5\'10" 3', null],
    ['', null],
    ['-5', -5],
    ['5-5', null],
  ])('length %s', (said, cm) => expect(readLengthCm(said)).toBe(cm));
  it.each([
    ['80', 80],
    ['80 kg', 80],
    ['180 lb', 81.6],
    ['180lbs', 81.6],
    ['12 stone', null],
  ])('mass %s', (said, kg) => expect(readMassKg(said)).toBe(kg));
  it.each([
    ['70', 177.8, 31.8],
    ['70,5', 179.1, 32],
    ['178 cm', 178, null],
    ['80 kg', null, 80],
    ["5'10", 177.8, null],
  ])('%s where feet and pounds are spoken', (said, cm, kg) => {
    expect(readLengthCm(said, 'feet-pounds')).toBe(cm);
    expect(readMassKg(said, 'feet-pounds')).toBe(kg);
  });
  it('and back, to a tenth of an inch and half a pound', () => {
    for (let cm = 20; cm <= 220; cm += 1.7) {
      const { feet, inches } = toFeetInches(cm);
      expect(inches).toBeLessThan(feet === 0 ? 36 : 12);
      expect(Math.abs(readLengthCm(feet === 0 ? `${inches} in` : `${feet}'${inches}"`)! - cm)).toBeLessThan(0.2);
    }
    expect(toFeetInches(50.8)).toEqual({ feet: 0, inches: 20 });
    for (let lb = 1; lb < 500; lb += 3) expect(toPounds(readMassKg(`${lb} lb`)!)).toBe(lb);
  });
});
