'use client';
import { createContext, useContext, type ReactNode } from 'react';
import type { SaidIn } from '@/core/units/as-spoken';

const Spoken = createContext<SaidIn>('metric');

/** The units that lengths and masses are typed and shown in below here. */
export const SaidInProvider = ({ saidIn, children }: { readonly saidIn: SaidIn; readonly children: ReactNode }) => (
  <Spoken value={saidIn}>{children}</Spoken>
);

/** The units that are spoken here. */
export const useSaidIn = (): SaidIn => useContext(Spoken);
