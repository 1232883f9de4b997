import { createToaster } from '@skeletonlabs/skeleton-svelte';

/** Short words that something is done, at the foot of the page; what is wrong stands where it is wrong instead. */
export const toaster = createToaster({ placement: 'bottom-end', duration: 6000 });

export const sayDone = (title: string): void => void toaster.success({ title });
