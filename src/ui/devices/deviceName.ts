/** Where a browser keeps what it is called in the shop. */
const KEY = 'shingle-device';

/** What this device is called (“lathe 1”, “office”); empty where nobody has said. */
export const deviceName = (): string => {
  try {
    return window.localStorage.getItem(KEY) ?? '';
  } catch {
    return '';
  }
};

/** Gives this device a name; what is decided on it is signed with it. */
export const nameDevice = (name: string): void => window.localStorage.setItem(KEY, name.trim());
