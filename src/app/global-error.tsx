'use client';

import PageFailed from './error';

/** The same where even the frame of the page failed. */
export default function AppFailed(props: { readonly error: Error; readonly reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <PageFailed {...props} />
      </body>
    </html>
  );
}
