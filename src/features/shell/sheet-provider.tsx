'use client';
import { MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';
import { KeepPages } from '@/offline/keep-pages';
import { EarlyTaps } from './early-taps';
import { theme } from './theme';

/** The house's look for everything below; follows the device's day or night until someone chooses. */
export function SheetProvider({ children }: { readonly children: ReactNode }) {
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto">
      <KeepPages />
      <EarlyTaps>{children}</EarlyTaps>
    </MantineProvider>
  );
}
