import { together } from "../together";

together("db", 1, 4);
