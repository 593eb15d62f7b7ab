import styles from './ledger.module.css';

const BAR_PX = 110;

interface Props {
  /** Shares, 0 to 1. */
  readonly at: number;
  readonly low: number;
  readonly high: number;
}

/** How often, as a line from least to most of what is likely, with one share marked on it. */
export function RateBar({ at, low, high }: Props) {
  return (
    <svg className={styles.rate} width={BAR_PX + 6} height={12} aria-hidden>
      <path d={`M3 6h${BAR_PX}M3 3v6M${BAR_PX + 3} 3v6`} data-axis />
      <path d={`M${3 + BAR_PX * low} 6H${3 + BAR_PX * high}`} data-likely />
      <rect x={BAR_PX * at} y={1} width={6} height={10} />
    </svg>
  );
}
