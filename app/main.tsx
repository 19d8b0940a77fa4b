import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './App.js';
import './shared/room.css';

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root');
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
);
