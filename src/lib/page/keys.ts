/** Whether a key is going into a field, so that single-key commands keep out of its way. */
export function isTyping(event: KeyboardEvent): boolean {
  return (
    event.target instanceof Element &&
    !!event.target.closest('input, textarea, select, [contenteditable="true"], [role="dialog"]')
  );
}
