/** One of what can be chosen. */
interface Option {
  value: string;
  label: string;
  /** A word or a reason beneath it. */
  note?: string;
  /** A colour that stands before it. */
  swatch?: string;
}

/** What a choice is asked with. */
export interface ChoiceProps {
  label: string;
  /** What is chosen; empty for nothing. */
  value: string;
  options: readonly Option[];
  onchange: (value: string) => void;
  quiet?: boolean;
  /** Said while nothing is chosen. */
  placeholder?: string | undefined;
  class?: string;
  id?: string | undefined;
}

/** What stands in the field. */
export const shownOf = ({
  value,
  options,
  placeholder
}: Pick<ChoiceProps, 'value' | 'options' | 'placeholder'>): string =>
  options.find((o) => o.value === value)?.label ?? (value || (placeholder ?? ''));

/** The classes of the field, the same before its list was ever opened and after. */
export const fieldOf = (quiet: boolean, extra: string): string =>
  `inline-flex items-center gap-1 text-left ${quiet ? 'quiet' : 'field justify-between'} ${extra}`;
