export { effectFigures, offersFor, sayEffect, triedWorks, type Effect, type Offer, type Tried } from './offer.js';
