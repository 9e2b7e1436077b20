/** Bytes as base64, with padding. */
export function toBase64(bytes: Uint8Array): string {
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  return btoa(text)
}

/** The bytes of a base64 text; throws where it is none. */
export function fromBase64(text: string): Uint8Array {
  const letters = atob(text)
  const bytes = new Uint8Array(letters.length)
  for (let index = 0; index < letters.length; index++) bytes[index] = letters.charCodeAt(index)
  return bytes
}
