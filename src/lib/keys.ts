/** Whether a key is going into a field, so that single-key commands keep out of its way. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return !!target?.closest('input, textarea, select, [contenteditable="true"], [role="dialog"]');
}
