'use client';
import { useMemo } from 'react';

/**
 * A plain value, the same object for as long as it says the same: a form makes all of its values anew with each one
 * that is typed, and what is drawn of the others need not be drawn anew.
 */
export function useSame<T>(value: T): T {
  const told = JSON.stringify(value);
  return useMemo(() => JSON.parse(told) as T, [told]);
}
