import type { SetRecord } from '@/core/record/set-log';
import type { SetView } from '@/contract/views/set';
import { Link } from '@/features/shell/link';
import { movementName, toSideText } from '@/messages/book';
import { BetweenSets } from './between-sets';
import { Onward } from './onward';
import { RestClock } from './rest-clock';
import type { LiveSetControl } from './use-live-set';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface Props {
  readonly last: SetRecord;
  readonly plan: SetView;
  readonly control: LiveSetControl;
  readonly tracker: Tracker;
}

/** Between sets: the rest clock, who works meanwhile, and what to change for the next set. */
export function Resting({ last, plan, control, tracker }: Props) {
  const { otherSide, otherSideLeft, alternates, opposites } = plan;
  const { finished, movement } = control.live;
  return (
    <>
      <RestClock sinceMs={last.endedAtMs ?? 0} restS={alternates ? 0 : movement.restS} />
      {otherSide && (
        <Link className={styles.otherSide} href={`/set/${otherSide.itemId}`}>
          {otherSideLeft && (alternates || finished) ? WORDS.nowTheSide(otherSide.side) : toSideText(otherSide.side)}
        </Link>
      )}
      {plan.inTurns && <Onward to={plan.inTurns} label={WORDS.inTurns} strong={!otherSideLeft || !alternates} />}
      {plan.partner && <Onward to={plan.partner} label={WORDS.swapTo} />}
      {finished && !otherSideLeft && plan.next && <Onward to={plan.next} label={WORDS.nextMovement} strong />}
      {opposites.length > 0 && (
        <nav className={styles.opposites} aria-label={WORDS.oppositeMuscleMeanwhile}>
          <span>{WORDS.oppositeMuscleMeanwhile}</span>
          {opposites.map((o) => (
            <Link key={o.itemId} className={styles.otherSide} href={`/set/${o.itemId}`}>
              {movementName(o.movement)}
            </Link>
          ))}
        </nav>
      )}
      <BetweenSets set={last} control={control} tracker={tracker} plan={plan} />
    </>
  );
}
