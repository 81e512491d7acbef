// Others reach it by its global name, and so do the attributes of the pages.
import htmx from 'htmx.org';
import { Idiomorph } from 'idiomorph/dist/idiomorph-ext.esm.js';

window.htmx = htmx;
window.Idiomorph = Idiomorph;
