import { Radio } from '@mantine/core';
import type { ReactNode } from 'react';
import styles from './shell.module.css';

interface Props<T extends string> {
  /** What is chosen, for those who do not see the row. */
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: ReactNode }[];
  /** Also when what is chosen is pressed once more. */
  readonly onChange: (value: T) => void;
  readonly className?: string | undefined;
  readonly optionClassName?: string | undefined;
  /** Row of a narrow screen's bar that it stands in. */
  readonly 'data-row'?: string;
}

/** A row of buttons of which one is chosen: by tap, or by arrow keys. */
export function ChoiceRow<T extends string>({
  label,
  value,
  options,
  onChange,
  className,
  optionClassName,
  ...rest
}: Props<T>) {
  return (
    <div className={className} {...rest}>
      <Radio.Group
        label={label}
        value={value}
        onChange={(to) => onChange(to as T)}
        className={styles.choiceRow}
        classNames={{ label: 'visually-hidden' }}
      >
        {options.map((o) => (
          <Radio.Card key={o.value} value={o.value} withBorder={false} className={optionClassName}>
            {o.label}
          </Radio.Card>
        ))}
      </Radio.Group>
    </div>
  );
}
