import { Slider } from '@mantine/core';
import styles from './shell.module.css';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** The value in words. */
  readonly words: string;
  readonly onChange: (value: number) => void;
  /** The words stand elsewhere on the page: here they are only spoken. */
  readonly quiet?: boolean;
}

/** A slider that says in words what it is set to, wide enough for a thumb. */
export function WordedSlider({ label, value, min, max, step, words, onChange, quiet = false }: Props) {
  return (
    <div className={styles.slider}>
      {!quiet && (
        <span>
          {label} <b>{words}</b>
        </span>
      )}
      <Slider
        min={min}
        max={max}
        step={step}
        value={value}
        label={null}
        size="sm"
        thumbLabel={label}
        thumbValueText={words}
        classNames={{ root: styles.sliderTrack, trackContainer: styles.sliderTrack, thumb: styles.sliderThumb }}
        onChange={onChange}
      />
    </div>
  );
}
