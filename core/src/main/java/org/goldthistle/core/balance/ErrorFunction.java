package org.goldthistle.core.balance;

/**
 * The error function to 1e-15, by rational approximation in three ranges.
 *
 * @see "Cody 1969, Rational Chebyshev approximations for the error function, Math. Comp. 23: 631-637"
 */
final class ErrorFunction {
    private static final double NEAR = 0.46875;
    private static final double FAR = 4;
    private static final double ONE_TO_DOUBLE_PRECISION = 6;
    private static final double ONE_OVER_ROOT_PI = 1 / Math.sqrt(Math.PI);

    private static final double[] NEAR_P = {
        1.85777706184603153e-1,
        3.16112374387056560e00,
        1.13864154151050156e02,
        3.77485237685302021e02,
        3.20937758913846947e03
    };
    private static final double[] NEAR_Q = {
        1, 2.36012909523441209e01, 2.44024637934444173e02, 1.28261652607737228e03, 2.84423683343917062e03
    };
    private static final double[] MIDDLE_P = {
        2.15311535474403846e-8,
        5.64188496988670089e-1,
        8.88314979438837594e00,
        6.61191906371416295e01,
        2.98635138197400131e02,
        8.81952221241769090e02,
        1.71204761263407058e03,
        2.05107837782607147e03,
        1.23033935479799725e03
    };
    private static final double[] MIDDLE_Q = {
        1,
        1.57449261107098347e01,
        1.17693950891312499e02,
        5.37181101862009858e02,
        1.62138957456669019e03,
        3.29079923573345963e03,
        4.36261909014324716e03,
        3.43936767414372164e03,
        1.23033935480374942e03
    };
    private static final double[] FAR_P = {
        1.63153871373020978e-2,
        3.05326634961232344e-1,
        3.60344899949804439e-1,
        1.25781726111229246e-1,
        1.60837851487422766e-2,
        6.58749161529837803e-4
    };
    private static final double[] FAR_Q = {
        1,
        2.56852019228982242e00,
        1.87295284992346725e00,
        5.27905102951428412e-1,
        6.05183413124413191e-2,
        2.33520497626869185e-3
    };

    private ErrorFunction() {}

    /** {@code 2/√π · ∫₀ˣ exp(−t²) dt}, in [−1, 1]. */
    static double at(double x) {
        double size = Math.abs(x);
        if (size <= NEAR) {
            double square = x * x;
            return x * polynomial(NEAR_P, square) / polynomial(NEAR_Q, square);
        }
        double value = size >= ONE_TO_DOUBLE_PRECISION ? 1 : 1 - complement(size);
        return x < 0 ? -value : value;
    }

    private static double complement(double size) {
        if (size <= FAR) {
            return Math.exp(-size * size) * polynomial(MIDDLE_P, size) / polynomial(MIDDLE_Q, size);
        }
        double inverseSquare = 1 / (size * size);
        double correction = inverseSquare * polynomial(FAR_P, inverseSquare) / polynomial(FAR_Q, inverseSquare);
        return Math.exp(-size * size) * (ONE_OVER_ROOT_PI - correction) / size;
    }

    private static double polynomial(double[] highestFirst, double x) {
        double value = 0;
        for (double coefficient : highestFirst) {
            value = value * x + coefficient;
        }
        return value;
    }
}
