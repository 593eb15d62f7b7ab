/** Why a passphrase or PIN is not taken. */
export type WeakSecret = 'short' | 'long' | 'plain' | 'not-digits' | 'guessed-first';

/** Fewest characters of a passphrase: length counts, not kinds of characters (NIST SP 800-63B-4, section 3.1.1.2). */
const SHORTEST_PASSPHRASE = 15;
const LONGEST_PASSPHRASE = 200;
const PIN_DIGITS = { least: 4, most: 8 } as const;

/** Letters and digits alone, so that a name is found whatever stands between. */
const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Why a passphrase is too easily guessed; null when it will do. */
export function weakPassphrase(text: string, name: string): WeakSecret | null {
  if ([...text].length < SHORTEST_PASSPHRASE) return 'short';
  if (text.length > LONGEST_PASSPHRASE) return 'long';
  const words = name
    .split(/\s+/)
    .map(plain)
    .filter((word) => word.length > 2);
  const rest = words.reduce((left, word) => left.replaceAll(word, ''), plain(text));
  return new Set(rest).size < 5 ? 'plain' : null;
}

/** Why a PIN is not taken; null when it will do: digits, and none that is tried first (1111, 1234, 8765). */
export function weakPin(pin: string): WeakSecret | null {
  if (!/^\d+$/.test(pin)) return 'not-digits';
  if (pin.length < PIN_DIGITS.least) return 'short';
  if (pin.length > PIN_DIGITS.most) return 'long';
  const steps = [...pin].slice(1).map((d, i) => Number(d) - Number(pin[i]));
  return [-1, 0, 1].some((step) => steps.every((s) => s === step)) ? 'guessed-first' : null;
}
