import { leaf } from '../../leaf';
import { answersTo, forms } from '../../observations';

export const conditions = answersTo(forms.conditions, leaf);
export const habitat = answersTo(forms.habitat, leaf);
