/**
 * A fresh id made on this device: 128 random bits as hexadecimal. Works on a plain http address of the
 * workshop's own network too, where browsers hide `crypto.randomUUID`.
 */
export function newId(): string {
  return [...crypto.getRandomValues(new Uint8Array(16))].map((b) => b.toString(16).padStart(2, '0')).join('');
}
