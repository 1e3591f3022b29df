/** Where a browser keeps how its device wants things. */
export const SETTINGS_COOKIE = 'shingle-settings';
