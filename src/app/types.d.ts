/// <reference types="next" />
/// <reference types="next/image-types/global" />
declare module '*.css';
declare module '@fontsource-variable/*';

declare namespace NodeJS {
  interface ProcessEnv {
    /** The language that the pages are built in, as a browser names it. */
    SHINGLE_LANGUAGE: string;
  }
}
