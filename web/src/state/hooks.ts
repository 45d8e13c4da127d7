import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';

// What features see of the store: that it takes actions and thunks, and that a selector knows its own slice. The store
// itself is put together above them, in `app/store.ts`.

export const useAppDispatch = useDispatch.withTypes<ThunkDispatch<unknown, undefined, UnknownAction>>();
export const useAppSelector = useSelector;
