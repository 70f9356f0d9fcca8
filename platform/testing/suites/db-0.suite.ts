import { together } from "../together";

together("db", 0, 4);
