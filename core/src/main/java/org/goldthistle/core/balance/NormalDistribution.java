package org.goldthistle.core.balance;

/** The standard normal distribution: its share below a value, and the value below which a share lies, to 1e-15. */
public final class NormalDistribution {
    private static final double ROOT_TWO = Math.sqrt(2);
    private static final double MIDDLE = 0.425;
    private static final double MIDDLE_SQUARED = 0.180625;
    private static final double FAR = 5;
    private static final double FAR_SHIFT = 1.6;

    private static final double[] A = {
        3.3871328727963666080e0,
        1.3314166789178437745e2,
        1.9715909503065514427e3,
        1.3731693765509461125e4,
        4.5921953931549871457e4,
        6.7265770927008700853e4,
        3.3430575583588128105e4,
        2.5090809287301226727e3
    };
    private static final double[] B = {
        1,
        4.2313330701600911252e1,
        6.8718700749205790830e2,
        5.3941960214247511077e3,
        2.1213794301586595867e4,
        3.9307895800092710610e4,
        2.8729085735721942674e4,
        5.2264952788528545610e3
    };
    private static final double[] C = {
        1.42343711074968357734e0,
        4.63033784615654529590e0,
        5.76949722146069140550e0,
        3.64784832476320460504e0,
        1.27045825245236838258e0,
        2.41780725177450611770e-1,
        2.27238449892691845833e-2,
        7.74545014278341407640e-4
    };
    private static final double[] D = {
        1,
        2.05319162663775882187e0,
        1.67638483018380384940e0,
        6.89767334985100004550e-1,
        1.48103976427480074590e-1,
        1.51986665636164571966e-2,
        5.47593808499534494600e-4,
        1.05075007164441684324e-9
    };
    private static final double[] E = {
        6.65790464350110377720e0,
        5.46378491116411436990e0,
        1.78482653991729133580e0,
        2.96560571828504891230e-1,
        2.65321895265761230930e-2,
        1.24266094738807843860e-3,
        2.71155556874348757815e-5,
        2.01033439929228813265e-7
    };
    private static final double[] F = {
        1,
        5.99832206555887937690e-1,
        1.36929880922735805310e-1,
        1.48753612908506148525e-2,
        7.86869131145613259100e-4,
        1.84631831751005468180e-5,
        1.42151175831644588870e-7,
        2.04426310338993978564e-15
    };

    private NormalDistribution() {}

    /** The share below a value. */
    public static double below(double z) {
        return 0.5 * (1 + ErrorFunction.at(z / ROOT_TWO));
    }

    /**
     * The value below which a share lies.
     *
     * @param share in (0, 1)
     * @see "Wichura 1988, Algorithm AS 241: the percentage points of the normal distribution, Applied Statistics 37"
     */
    public static double quantile(double share) {
        double q = share - 0.5;
        if (Math.abs(q) <= MIDDLE) {
            double r = MIDDLE_SQUARED - q * q;
            return q * at(A, r) / at(B, r);
        }
        double r = Math.sqrt(-Math.log(Math.min(share, 1 - share)));
        double z = r <= FAR ? at(C, r - FAR_SHIFT) / at(D, r - FAR_SHIFT) : at(E, r - FAR) / at(F, r - FAR);
        return q < 0 ? -z : z;
    }

    private static double at(double[] coefficients, double x) {
        double value = 0;
        for (int i = coefficients.length - 1; i >= 0; i--) {
            value = value * x + coefficients[i];
        }
        return value;
    }
}
