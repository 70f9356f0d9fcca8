import { together } from "../together";

together("unit", 3, 4);
