using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace Circuitum.Web.Access;

/// <summary>
/// The certificate that the program makes for itself. A phone has to trust who signed it, or it keeps no pages for work without network:
/// so an authority signs it whose key is thrown away at once. Nobody, not even whoever steals the file, can sign anything else with it.
/// </summary>
public sealed class MachineCertificate : IDisposable
{
    private const int Days = 800;
    private const int RenewDays = 60;

    private MachineCertificate(X509Certificate2 own, byte[] authority) => (Own, Authority) = (own, authority);

    /// <summary>The certificate with its key.</summary>
    public X509Certificate2 Own { get; }

    /// <summary>Who signed it, as a file for the phone.</summary>
    public byte[] Authority { get; }

    /// <summary>Its fingerprint by SHA-256, in pairs of digits.</summary>
    public static string FingerprintOf(X509Certificate2 certificate) =>
        string.Join(' ', certificate.GetCertHash(HashAlgorithmName.SHA256).Chunk(2).Select(Convert.ToHexString));

    /// <summary>Loads the certificate of a directory; makes one where there is none for these names, or it ends soon.</summary>
    /// <param name="directory">Where keys are.</param>
    /// <param name="names">Names and addresses that it stands for.</param>
    public static MachineCertificate Of(string directory, IReadOnlyList<string> names)
    {
        Directory.CreateDirectory(directory);
        var (file, authority) = (Path.Combine(directory, "machine.pfx"), Path.Combine(directory, "machine-authority.cer"));
        if (File.Exists(file) && File.Exists(authority) && Load(file) is { } own)
        {
            if (own.NotAfter > DateTime.Now.AddDays(RenewDays) && Covers(own, names))
                return new(own, File.ReadAllBytes(authority));
            own.Dispose();
        }

        var made = Make(names);
        File.WriteAllBytes(file, made.Own.Export(X509ContentType.Pkcs12));
        if (!OperatingSystem.IsWindows())
            File.SetUnixFileMode(file, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        File.WriteAllBytes(authority, made.Authority);
        return made;
    }

    private static X509Certificate2? Load(string file)
    {
        try
        {
            return X509CertificateLoader.LoadPkcs12FromFile(file, null);
        }
        catch (CryptographicException)
        {
            // Damaged: another one is made.
            return null;
        }
    }

    private static bool Covers(X509Certificate2 own, IReadOnlyList<string> names)
    {
        var there = own.Extensions.OfType<X509SubjectAlternativeNameExtension>().FirstOrDefault();
        if (there is null)
            return false;
        var known = there.EnumerateDnsNames().Concat(there.EnumerateIPAddresses().Select(a => a.ToString())).ToHashSet();
        return names.All(known.Contains);
    }

    private static MachineCertificate Make(IReadOnlyList<string> names)
    {
        var (from, until) = (DateTimeOffset.UtcNow.AddDays(-1), DateTimeOffset.UtcNow.AddDays(Days));
        using var signing = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var root = new CertificateRequest($"CN=Circuitum on {Environment.MachineName}", signing, HashAlgorithmName.SHA256);
        root.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        root.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign, true));
        using var authority = root.CreateSelfSigned(from, until);

        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN={names[0]}", key, HashAlgorithmName.SHA256);
        var covers = new SubjectAlternativeNameBuilder();
        foreach (var name in names)
        {
            if (IPAddress.TryParse(name, out var address))
                covers.AddIpAddress(address);
            else
                covers.AddDnsName(name);
        }

        request.CertificateExtensions.Add(covers.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new("1.3.6.1.5.5.7.3.1")], false));
        using var signed = request.Create(authority, from, until, RandomNumberGenerator.GetBytes(12));
        using var whole = signed.CopyWithPrivateKey(key);
        var own = X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pkcs12), null);
        return new(own, authority.Export(X509ContentType.Cert));
    }

    /// <inheritdoc/>
    public void Dispose() => Own.Dispose();
}
