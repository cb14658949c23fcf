import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import './globals.css';

export const metadata: Metadata = {
  title: 'Mazurka',
  description: 'The bench partner of people who build and tune bladed lures.',
};

export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** Sets the theme before the first paint, so that a dark bench never flashes white. */
const EARLY_THEME = `try{var t=matchMedia('(prefers-color-scheme: dark)').matches?'dark':'light';document.documentElement.dataset.theme=t}catch(e){}`;

export default function RootLayout({ children }: { readonly children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: EARLY_THEME }} />
      </head>
      <body>{children}</body>
    </html>
  );
}
