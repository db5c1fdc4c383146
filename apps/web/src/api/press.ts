/** Names a press of a button: asked twice under the same name, the server does it once. (`randomUUID` is not there on plain http.) */
export const nameOfPress = (): string => [...crypto.getRandomValues(new Uint8Array(16))].map((byte) => byte.toString(16).padStart(2, '0')).join('');
