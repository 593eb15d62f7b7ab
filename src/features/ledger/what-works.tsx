import type { WhatWorksView } from '@/contract/views/ledger';
import { CORRECTION_TEXT, FAULT_TEXT } from '@/messages/faults';
import { WORDS } from '@/messages/screens/ledger';
import { RateBar } from './rate-bar';
import styles from './ledger.module.css';

/** Which corrections work for which fault in a gym, best first. */
export function WhatWorks({ gym }: { readonly gym: WhatWorksView['gyms'][number] }) {
  return (
    <section className={styles.movement}>
      <h2>{gym.name}</h2>
      {gym.faults.length === 0 && <p>{WORDS.nothingLookedAt}</p>}
      {gym.faults.map(({ fault, effects }) => (
        <div key={fault}>
          <h3>{FAULT_TEXT[fault].seen}</h3>
          <ul className={styles.works}>
            {effects.map((e) => (
              <li key={e.code}>
                <b>{CORRECTION_TEXT[e.code]}</b>
                <RateBar at={e.drawnIn} low={e.low} high={e.high} />
                <span>{e.says}</span>
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}
