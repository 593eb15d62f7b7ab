import type { Body } from '@/core/body/body-model';
import { knucklesOverKneesM, SOFT_KNEES_DEG } from '@/core/fit/hinge-fit';
import styles from './client.module.css';

const ANGLES = [60, 45, 20, 0] as const;

/** The hinge by eye, in this client's own centimetres: hanging knuckles against the kneecaps. */
export function HingeTable({ body }: { readonly body: Body }) {
  const measured = (['shoulderHeight', 'hipHeight', 'kneeHeight'] as const).every((n) => body.height[n].source === 'measured');
  return (
    <table className={styles.hinge}>
      <caption>Knees bent about {SOFT_KNEES_DEG}°, arms hanging</caption>
      <tbody>
        {ANGLES.map((deg) => {
          const cm = knucklesOverKneesM(body, deg) * 100;
          return (
            <tr key={deg}>
              <th scope="row">{deg === 0 ? 'trunk level' : `trunk ${deg}° up`}</th>
              <td className={measured ? styles.measuredNumber : styles.estimatedNumber}>{Math.abs(cm).toFixed(0)} cm</td>
              <td>{cm >= 0 ? 'above' : 'below'} the kneecaps</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
