/** That kept records are left out because this program cannot read them. */
export const unreadableText = (n: number): string =>
  `${n === 1 ? 'One record is' : `${n} records are`} left out here: ` +
  `this program cannot read ${n === 1 ? 'it' : 'them'}. ` +
  'Nothing is lost; a newer program may read what this one cannot.';
