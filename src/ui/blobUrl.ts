import { useCallback } from 'react';

/**
 * Shows a blob in an element while it is mounted: sets the attribute to an address of the blob, and lets the
 * address go again.
 */
export function useBlobUrl<E extends Element>(blob: Blob, attribute: 'src' | 'href') {
  return useCallback(
    (element: E | null) => {
      if (!element) return;
      const url = URL.createObjectURL(blob);
      element.setAttribute(attribute, url);
      return () => URL.revokeObjectURL(url);
    },
    [blob, attribute],
  );
}
