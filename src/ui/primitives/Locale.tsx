'use client';
import type { ReactNode } from 'react';
import { I18nProvider } from 'react-aria-components';

/** The components' own words are in the language of the page, whatever the browser's. */
export const Locale = ({ children }: { children: ReactNode }) => (
  <I18nProvider locale={process.env.SHINGLE_LANGUAGE}>{children}</I18nProvider>
);
