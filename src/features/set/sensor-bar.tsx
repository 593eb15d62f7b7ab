import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** What the line to the sensor says, in words; `off` is offered, not said. */
const LINK_TEXT = {
  off: 'Draw the stack over the pacer',
  asking: 'Looking for sensors...',
  none: 'No sensor answers: start npm run tracker, or open a file after the set.',
  lost: 'The sensor is out of reach; it is asked again by itself.',
} as const;

/** A sensor on the stack: found, chosen, left. */
export function SensorBar({ tracker }: { readonly tracker: Tracker }) {
  const { link, sensors, id, find, choose } = tracker;
  return (
    <div
      className={styles.sensor}
      data-choosing={sensors.length > 0 || undefined}
      data-testid="sensor"
      data-link={link}
      role="status"
    >
      {sensors.length > 0 ? (
        <span>{WORDS.whichStack}</span>
      ) : (
        <span>
          {link === 'connected' ? (
            <>
              <b>{WORDS.stack}</b> {WORDS.drawnFromSensor} {id}
            </>
          ) : (
            LINK_TEXT[link]
          )}
        </span>
      )}
      {sensors.map((s) => (
        <button key={s.id} type="button" className={styles.plain} onClick={() => choose(s.id)}>
          {s.name}
        </button>
      ))}
      {sensors.length > 0 && (
        <button type="button" className={styles.plain} onClick={() => choose(null)}>
          {WORDS.noneOfThem}
        </button>
      )}
      {id === null && sensors.length === 0 && (
        <button type="button" className={styles.plain} disabled={link === 'asking'} onClick={() => void find()}>
          {WORDS.findASensor}
        </button>
      )}
      {id !== null && (
        <button type="button" className={styles.plain} onClick={() => choose(null)}>
          {WORDS.leaveIt}
        </button>
      )}
    </div>
  );
}
