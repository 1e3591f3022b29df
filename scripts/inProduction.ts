/** Imported first, makes React leave out what it notes for developers: drawing is then four times as fast. */
Object.assign(process.env, { NODE_ENV: 'production' });
