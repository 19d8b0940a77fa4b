export { effectFigures, offersFor, sayEffect, triedWorks, type Effect, type Offer } from './offer.js';
