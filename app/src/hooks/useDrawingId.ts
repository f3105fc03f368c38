import { useId } from 'react';

/** An id for a part of a drawing that no other drawing has, mounted screens behind this one among them. */
export const useDrawingId = (part: string): string => `${part}-${useId().replace(/[^\w-]/g, '')}`;
