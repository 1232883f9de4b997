import { createContext } from 'svelte';
import type { FieldApp } from '$lib/field/field-app.svelte';

/** The field app that the layout opened, for the pages below it. */
export const [fieldApp, setFieldApp] = createContext<FieldApp>();
