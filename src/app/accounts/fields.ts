import Joi from 'joi';
import { LONGEST_PASSWORD, SHORTEST_PASSWORD } from '@/core/car/records/roles';

/** Names of people and of workshops. */
export const nameField = () => Joi.string().trim().min(1).max(80).required();

export const emailField = () =>
  Joi.string()
    .max(254)
    .pattern(/^[^\s@<>"(),:;]+@[^\s@<>"(),:;]+\.[^\s@<>"(),:;.]+$/)
    .messages({ 'string.pattern.base': 'must be an email such as ada@cars.example' })
    .required();

export const newPassword = () => Joi.string().min(SHORTEST_PASSWORD).max(LONGEST_PASSWORD).required();

/** One that is tried: what it may be is not told. */
export const triedPassword = () => Joi.string().max(1024).required();

export const tokenField = () => Joi.string().max(100).required();

/** The same email however it is typed. */
export const sameEmail = (email: string): string => email.toLowerCase();
