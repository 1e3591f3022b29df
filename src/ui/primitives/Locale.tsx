'use client';
import type { ReactNode } from 'react';
import { I18nProvider } from 'react-aria-components';

/** One language for the components' own words, whatever the browser's: the page is in English throughout. */
export const Locale = ({ children }: { children: ReactNode }) => <I18nProvider locale="en-GB">{children}</I18nProvider>;
