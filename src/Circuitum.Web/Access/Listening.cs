using System.Globalization;
using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace Circuitum.Web.Access;

/// <summary>Where the program listens beside its own machine, if anywhere: only over HTTPS, and never without accounts.</summary>
/// <param name="Address">The address that is listened on, or none for this machine alone.</param>
/// <param name="Port">The port there.</param>
/// <param name="Names">Names and addresses under which it is reached.</param>
/// <param name="Certificate">The certificate.</param>
/// <param name="Authority">Who signed it, where the program made it.</param>
/// <param name="Problem">Why it cannot be, or empty.</param>
internal sealed record Listening(
    IPAddress? Address,
    int Port,
    IReadOnlyList<string> Names,
    X509Certificate2? Certificate,
    byte[]? Authority,
    string Problem
)
{
    private static Listening Wrong(string sentence) => new(null, 0, [], null, null, sentence);

    /// <summary>As the command line says it.</summary>
    /// <param name="told">
    /// What was told: <c>listen</c>, <c>listen-port</c>, <c>name</c>, <c>certificate</c>, <c>certificate-key</c>.
    /// </param>
    /// <param name="keys">Where the program keeps what it makes.</param>
    internal static Listening Of(IConfiguration told, string keys)
    {
        if (told["listen"] is not { Length: > 0 } where)
            return told["certificate"] is { Length: > 0 }
                ? Wrong("--certificate is for --listen; by itself the program is reached from this machine alone.")
                : new(null, 0, [], null, null, "");
        if (where == "any")
            where = "0.0.0.0";
        if (!IPAddress.TryParse(where, out var address))
            return Wrong($"--listen: '{where}' is no address. Type one of this machine, such as 192.168.1.20, or any.");
        if (
            !int.TryParse(told["listen-port"] ?? "5443", NumberStyles.None, CultureInfo.InvariantCulture, out var port)
            || port is < 1 or > 65_535
        )
            return Wrong($"--listen-port: '{told["listen-port"]}' is not a port from 1 to 65535.");
        var names = new List<string>();
        if (told["name"] is { Length: > 0 } name)
        {
            if (Uri.CheckHostName(name) == UriHostNameType.Unknown)
                return Wrong($"--name: '{name}' is no name of a machine.");
            names.Add(name);
        }

        names.AddRange(address.Equals(IPAddress.Any) ? Own() : [address.ToString()]);
        if (names.Count == 0)
            names.Add(IPAddress.Loopback.ToString());
        if (told["certificate"] is not { Length: > 0 } file)
        {
            var made = MachineCertificate.Of(keys, names);
            return new(address, port, names, made.Own, made.Authority, "");
        }

        try
        {
            using var pem = X509Certificate2.CreateFromPemFile(file, told["certificate-key"] is { Length: > 0 } key ? key : file);
            var own = X509CertificateLoader.LoadPkcs12(pem.Export(X509ContentType.Pkcs12), null);
            return new(address, port, names, own, null, "");
        }
        catch (Exception e) when (e is CryptographicException or IOException or UnauthorizedAccessException)
        {
            return Wrong(
                "--certificate: that file holds no certificate with its key, as PEM. "
                    + "The key may be in a file of its own: --certificate-key."
            );
        }
    }

    // The addresses of this machine in its networks, those first that a router gives.
    private static IEnumerable<string> Own() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(i => i.OperationalStatus == OperationalStatus.Up && i.NetworkInterfaceType != NetworkInterfaceType.Loopback)
            .SelectMany(i => i.GetIPProperties().UnicastAddresses)
            .Where(a => a.Address.AddressFamily == AddressFamily.InterNetwork)
            .Select(a => a.Address.ToString())
            .Distinct();
}
