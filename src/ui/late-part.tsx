'use client';

/**
 * A component whose code is fetched when it is first shown. One that cannot be fetched is asked for again when it is shown
 * again, which a lazy component of React would not do.
 */
import { useEffect, useState, type ComponentType, type ReactNode } from 'react';

/** Code that could not be fetched: no network, or another build on the server. */
export class MissingPart extends Error {}

type State<P> =
  | { readonly state: 'coming' }
  | { readonly state: 'here'; readonly Part: ComponentType<P> }
  | { readonly state: 'missing'; readonly error: MissingPart };

/** @param waiting shown until it is there */
export function latePart<P extends object>(
  fetchPart: () => Promise<ComponentType<P>>,
  waiting: () => ReactNode = () => null,
): ComponentType<P> {
  let here: ComponentType<P> | null = null;
  return function LatePart(props: P) {
    const [known, setKnown] = useState<State<P>>(() => (here ? { state: 'here', Part: here } : { state: 'coming' }));
    useEffect(() => {
      let isShown = true;
      if (here) return;
      fetchPart().then(
        (Part) => {
          here = Part;
          if (isShown) setKnown({ state: 'here', Part });
        },
        (error: unknown) => {
          if (isShown) setKnown({ state: 'missing', error: new MissingPart(String(error)) });
        },
      );
      return () => {
        isShown = false;
      };
    }, []);
    // Thrown while drawing, so that the boundary around it says so.
    if (known.state === 'missing') throw known.error;
    return known.state === 'here' ? <known.Part {...props} /> : waiting();
  };
}
