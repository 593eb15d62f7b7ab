/** How long a device is given to tell its tilt, milliseconds. */
const PATIENCE_MS = 2500;
const EVERY_MS = 60;
/** A hand that holds a device along a cable trembles by this much, degrees. */
const TREMBLES_DEG = 0.8;
/** The stand-in's second reading is of a carriage that sits elsewhere than the plate says, degrees off. */
const ELSEWHERE_DEG = 7;

/**
 * Slope of a device's long edge from level, degrees 0 to 90, whichever end is up. `betaDeg`: tilt front to back, -180
 * to 180 (W3C Device Orientation).
 */
export const slopeOf = (betaDeg: number): number =>
  Math.abs(betaDeg) > 90 ? 180 - Math.abs(betaDeg) : Math.abs(betaDeg);

/** Slope along this device's long edge, degrees 0 to 90; null when it has no sensor, or may not tell. */
export async function readSlope(): Promise<number | null> {
  const asked = (globalThis.DeviceOrientationEvent as { requestPermission?: () => Promise<string> } | undefined)
    ?.requestPermission;
  if (asked && (await asked().catch(() => 'denied')) !== 'granted') return null;
  return new Promise((done) => {
    const end = (slope: number | null): void => {
      window.removeEventListener('deviceorientation', read);
      clearTimeout(timer);
      done(slope);
    };
    const read = (e: DeviceOrientationEvent): void => {
      if (e.beta !== null) end(slopeOf(e.beta));
    };
    const timer = setTimeout(() => end(null), PATIENCE_MS);
    window.addEventListener('deviceorientation', read);
  });
}

/**
 * A stand-in for the sensor: a device held along a cable of this slope, every second time along one whose carriage sits
 * elsewhere. Returns how to put it away.
 */
export function holdSimulated(slopeDeg: number, turn: number): () => void {
  const held = slopeDeg + (turn % 2 === 0 ? 0 : slopeDeg > 60 ? -ELSEWHERE_DEG : ELSEWHERE_DEG);
  const timer = setInterval(
    () =>
      window.dispatchEvent(
        new DeviceOrientationEvent('deviceorientation', {
          alpha: 0,
          beta: held + TREMBLES_DEG * (2 * Math.random() - 1),
          gamma: 0,
        }),
      ),
    EVERY_MS,
  );
  return () => clearInterval(timer);
}
