/** What a day is asked with. */
export interface DateProps {
  label: string;
  /** `2026-11-30`; empty for none. */
  value: string;
  onchange: (value: string) => void;
  quiet?: boolean;
  /** Whether it may be emptied. */
  optional?: boolean;
  /** Attributes of the field itself: what a page finds it by. */
  marks?: Record<string, string>;
}

/** The locale in whose order a day is typed. */
export const locale = (): string => (typeof navigator === 'undefined' ? 'en' : navigator.language);

/** A day as it is typed, or the order in which it is. */
export function dayShown(value: string): string {
  const format = new Intl.DateTimeFormat(locale(), {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    timeZone: 'UTC'
  });
  const at = Date.parse(value);
  if (!Number.isNaN(at)) return format.format(at);
  const blanks: Partial<Record<Intl.DateTimeFormatPartTypes, string>> = {
    year: 'yyyy',
    month: 'mm',
    day: 'dd'
  };
  return format
    .formatToParts(0)
    .map((p) => blanks[p.type] ?? p.value)
    .join('');
}
