import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
// For the letters that the app's own type lacks; fetched by the browser only where one is shown.
import '@fontsource/noto-sans/cyrillic-400.css';
import '@fontsource/noto-sans/cyrillic-700.css';
import '@fontsource/noto-sans/cyrillic-ext-400.css';
import '@fontsource/noto-sans/cyrillic-ext-700.css';
import '@fontsource/noto-sans/greek-400.css';
import '@fontsource/noto-sans/greek-700.css';
import '@fontsource/noto-sans/vietnamese-400.css';
import '@fontsource/noto-sans/vietnamese-700.css';
import './globals.css';
import { Offline } from '@/ui/Offline';

export const metadata: Metadata = {
  title: 'Mazurka',
  description: 'The bench partner of people who build and tune bladed lures.',
  appleWebApp: { title: 'Mazurka' },
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
      <body>
        {children}
        <Offline />
      </body>
    </html>
  );
}
