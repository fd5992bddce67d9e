export interface PickOption {
  id: string;
  name: string;
  /** The figures that one chooses by. */
  tells?: string;
}

/** Marks of thousands and spaces of any width are none. */
const plain = (text: string) => text.toLowerCase().replace(/[,\s]+/g, ' ');

/** Options that hold every word that was typed, in name or figures. */
export function searched(options: readonly PickOption[], typed: string): PickOption[] {
  const words = plain(typed).trim().split(' ');
  return options.filter(({ name, tells = '' }) => {
    const all = plain(`${name} ${tells}`);
    return words.every((word) => all.includes(word));
  });
}
